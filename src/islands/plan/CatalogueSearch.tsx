import { useEffect, useState, type KeyboardEvent } from "react";
import type { Problem } from "~/contract/problem";
import type { CatalogueAnswer } from "~/contract/library";
import type { PlanView } from "~/contract/plan";
import { bodyPositions, laneCodes, type Lane } from "~/core/exercise/body";
import { bareHome } from "~/core/exercise/kit";
import { knobByName } from "~/core/exercise/knob";
import { call } from "~/islands/frame/call";
import { sayKnobValue } from "~/messages/say-knob-value";
import { t } from "~/messages/say";
import FilterSelect from "~/islands/frame/FilterSelect";
import HitList from "./HitList";
import SearchBox from "~/islands/frame/SearchBox";

interface Props {
  plan: PlanView;
  lane: Lane | "";
  onLane: (lane: Lane | "") => void;
  onChanged: (next: PlanView, said: string) => void;
  onProblem: (problem: Problem) => void;
}

const kits = { any: "", home: bareHome.join(","), none: "none" } as const;
const contractions = knobByName("contraction").words ?? [];
const pauseMs = 120;

/** Finds variants of the clinic's catalogue while one types. */
export default function CatalogueSearch({ plan, lane, onLane, onChanged, onProblem }: Props) {
  const [answer, setAnswer] = useState<CatalogueAnswer | null>(null);
  const [text, setText] = useState("");
  const [kit, setKit] = useState<keyof typeof kits>("any");
  const [position, setPosition] = useState("");
  const [contraction, setContraction] = useState("");
  const [onlyStage, setOnlyStage] = useState(true);
  const [lowKneeBend, setLowKneeBend] = useState(false);
  const stage = onlyStage ? `${plan.pathway}/${plan.stage}` : "";

  useEffect(() => {
    const query = {
      text,
      lane,
      kit: kits[kit],
      positions: position,
      contraction,
      stage,
      lowKneeBend: lowKneeBend ? "true" : "",
    };
    let current = true;
    const timer = setTimeout(async () => {
      const found = await call("searchCatalogue", query);
      if (!current) return;
      if (found.ok) setAnswer(found.value);
      else onProblem(found.problem);
    }, pauseMs);
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [text, lane, kit, position, contraction, stage, lowKneeBend, onProblem]);

  return (
    <section
      className="bg-base-100 border-base-300 rounded-box border p-3"
      aria-label={t("plan.search")}
      onKeyDown={moveAmongHits}
    >
      <SearchBox
        label={t("plan.search")}
        placeholder={`${t("plan.search")}: ${t("plan.words")}`}
        value={text}
        onChange={setText}
      />
      <div className="mt-2 grid grid-cols-2 gap-2">
        <FilterSelect
          name={t("plan.lane")}
          value={lane}
          onValue={(value) => onLane(value as Lane | "")}
          options={[["", t("plan.anyLane")], ...laneCodes.map((code) => [code, t(`lane.${code}`)] as const)]}
        />
        <FilterSelect
          name={t("plan.kit")}
          value={kit}
          onValue={(value) => setKit(value as keyof typeof kits)}
          options={[
            ["any", t("plan.kit.any")],
            ["home", t("plan.kit.home")],
            ["none", t("plan.kit.none")],
          ]}
        />
        <FilterSelect
          name={t("plan.position")}
          value={position}
          onValue={setPosition}
          options={[
            ["", t("plan.anyPosition")],
            ...bodyPositions.map((code) => [code, t(`position.${code}`)] as const),
          ]}
        />
        <FilterSelect
          name={t("plan.contraction")}
          value={contraction}
          onValue={setContraction}
          options={[
            ["", t("plan.anyContraction")],
            ...contractions.map((code) => [code, sayKnobValue("contraction", code)] as const),
          ]}
        />
      </div>
      <div className="mt-1 flex flex-wrap gap-x-5">
        <label className="flex min-h-11 cursor-pointer items-center gap-2">
          <input
            type="checkbox"
            className="checkbox"
            checked={onlyStage}
            onChange={(event) => setOnlyStage(event.target.checked)}
          />
          {t("plan.onlyStage")}
        </label>
        <label className="flex min-h-11 cursor-pointer items-center gap-2">
          <input
            type="checkbox"
            className="checkbox"
            checked={lowKneeBend}
            onChange={(event) => setLowKneeBend(event.target.checked)}
          />
          {t("plan.lowBend")}
        </label>
      </div>
      {answer && <HitList plan={plan} answer={answer} onChanged={onChanged} />}
    </section>
  );
}

/** Arrows go from the words to the first hit, from hit to hit, and back. */
function moveAmongHits(event: KeyboardEvent<HTMLElement>): void {
  const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
  const { currentTarget, target } = event;
  const box = currentTarget.querySelector<HTMLElement>("input[type=search]");
  const hits = [...currentTarget.querySelectorAll<HTMLElement>("[data-hit]")];
  const stops = box ? [box, ...hits] : hits;
  const at = stops.indexOf(target as HTMLElement);
  if (step === undefined || at < 0) return;
  event.preventDefault();
  stops[at + step]?.focus();
}
