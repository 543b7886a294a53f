import { useState } from "react";
import { listNeeds, type NeedCode } from "~/catalogue/composer/needs";
import type { PlanView } from "~/contract/plan";
import type { Problem } from "~/contract/problem";
import { mostItems, type ComposedList, type ListItem } from "~/core/intake/compose-list";
import { call } from "~/islands/frame/call";
import ProblemNote from "~/islands/frame/ProblemNote";
import { typedNumber } from "~/islands/frame/typed-number";
import { useWrite } from "~/islands/frame/use-write";
import { t } from "~/messages/say";
import ComposedRows from "./ComposedRows";

interface Props {
  plan: PlanView;
  onCancel: () => void;
  onChanged: (next: PlanView, said: string) => void;
}

/** A list for a season, a job or upkeep: from what is asked, what was hurt and what was found; one in, one out; added together. */
export default function ComposeForm({ plan, onCancel, onChanged }: Props) {
  const [needs, setNeeds] = useState<readonly NeedCode[]>([]);
  const [minutes, setMinutes] = useState(String(plan.circumstances?.minutesPerDay ?? 15));
  const [list, setList] = useState<ComposedList | null>(null);
  const [chosen, setChosen] = useState<readonly ListItem[]>([]);
  const [problem, setProblem] = useState<Problem | null>(null);
  const adding = useWrite("addItem", { id: plan.episodeId });
  const room = mostItems - plan.items.length;

  const compose = async () => {
    const answer = await call(
      "composeList",
      { id: plan.episodeId },
      { needs: [...needs], minutes: typedNumber(minutes) ?? NaN },
    );
    if (!answer.ok) return setProblem(answer.problem);
    setProblem(null);
    setList(answer.value);
    setChosen(answer.value.items.slice(0, Math.max(0, room)));
  };
  /** One after the other, so that what is refused is named and what went before it stands. */
  const add = async (isMeant: boolean) => {
    let last: PlanView | null = null;
    for (const [n, { exerciseId, prescription, role }] of chosen.entries()) {
      const { variantId, settings, dose } = prescription;
      // What was asked about is the first of those left.
      const meant = isMeant && n === 0 ? { meant: true as const } : {};
      const body = { exerciseId, variantId, settings, dose, ...meant };
      const written = await adding.send(role === "main" ? body : { ...body, role }, `composed ${variantId}`);
      if (!written) break;
      last = written.plan;
      setChosen((left) => left.filter((item) => item.exerciseId !== exerciseId));
    }
    if (last) onChanged(last, t("compose.added"));
  };

  return (
    <section className="bg-base-100 border-primary rounded-box border p-3" data-testid="compose">
      {list ? (
        <div className="flex flex-wrap gap-2">
          <button type="button" className="btn" onClick={() => setList(null)}>
            {t("compose.change")}
          </button>
          <button type="button" className="btn btn-ghost" onClick={onCancel}>
            {t("sign.cancel")}
          </button>
        </div>
      ) : (
        <>
          {(["asks", "hurt", "found"] as const).map((kind) => (
            <fieldset key={kind} className="mb-2">
              <legend className="font-semibold">{t(`compose.${kind}`)}</legend>
              <div className="flex flex-wrap gap-1">
                {listNeeds
                  .filter((need) => need.kind === kind)
                  .map(({ code }) => (
                    <button
                      key={code}
                      type="button"
                      className={`btn ${needs.includes(code) ? "btn-neutral" : ""}`}
                      aria-pressed={needs.includes(code)}
                      onClick={() =>
                        setNeeds(
                          needs.includes(code) ? needs.filter((one) => one !== code) : [...needs, code],
                        )
                      }
                    >
                      {t(`compose.need.${code}`)}
                    </button>
                  ))}
              </div>
            </fieldset>
          ))}
          <div className="flex flex-wrap items-end gap-2">
            <label className="text-sm font-medium">
              {t("compose.minutes")}
              <input
                className="input block w-24"
                inputMode="numeric"
                value={minutes}
                onChange={(event) => setMinutes(event.target.value)}
              />
            </label>
            <button
              type="button"
              className="btn btn-primary"
              disabled={needs.length === 0}
              onClick={() => void compose()}
            >
              {t("compose.make")}
            </button>
            <button type="button" className="btn btn-ghost" onClick={onCancel}>
              {t("sign.cancel")}
            </button>
          </div>
        </>
      )}
      <ProblemNote problem={problem} />
      {list && (
        <ComposedRows
          plan={plan}
          list={list}
          chosen={chosen}
          room={room}
          onOut={(item) => setChosen(chosen.filter((one) => one.exerciseId !== item.exerciseId))}
          onIn={(item) => setChosen([...chosen, item])}
        />
      )}
      <ProblemNote
        problem={adding.problem}
        sayPath={() => (chosen[0] ? `${chosen[0].exerciseName}:` : "")}
        onMeant={() => void add(true)}
      />
      {list && chosen.length > 0 && (
        <button
          type="button"
          className="btn btn-primary mt-2"
          disabled={adding.busy || chosen.length > room}
          onClick={() => void add(false)}
        >
          {t("compose.add", { count: chosen.length })}
        </button>
      )}
    </section>
  );
}
