import { useState } from "react";
import { useFormContext } from "react-hook-form";
import type { StairView } from "~/contract/episode";
import ExerciseFigure from "~/islands/figure/ExerciseFigure";
import { sayDose } from "~/messages/say-dose";
import { t } from "~/messages/say";
import { expandedSets, type SessionDraft, type SessionItem } from "./session-draft";
import HowItIsDone from "./HowItIsDone";
import SetFields from "./SetFields";
import { workingSide } from "~/core/case/working-side";
import { later } from "~/islands/frame/later";

const WhereItIsFelt = later(() => import("./WhereItIsFelt"));
const SetStrip = later(() => import("./SetStrip"));

interface Props {
  stair: StairView;
  item: SessionItem;
  index: number;
}

/** The exercise in hand: what is asked, its cues, and what was done; all sets alike or each by itself. */
export default function ItemWork({ stair, item, index }: Props) {
  const { watch, setValue, getValues } = useFormContext<SessionDraft>();
  const draft = watch(`items.${index}`);
  const [chosen, setChosen] = useState(0);
  const { exercise } = item;
  const at = Math.min(chosen, draft.sets.length - 1);
  const toggleDiffers = () => {
    const present = getValues(`items.${index}`);
    const sets = present.differs ? present.sets.slice(0, 1) : expandedSets(present);
    setValue(`items.${index}`, { ...present, differs: !present.differs, sets });
    setChosen(0);
  };
  const first = draft.sets[0];
  const other = first?.side === "left" ? "right" : "left";

  return (
    <section
      className="bg-base-100 border-base-300 rounded-box border px-3 py-2"
      data-testid={`session-${exercise.id}`}
      aria-label={item.name}
    >
      <div className="grid grid-cols-[minmax(0,1fr)_auto] items-start gap-x-3">
        <div>
          <h2 className="text-xl leading-tight font-semibold">
            {item.name}
            {draft.unplanned && (
              <span className="badge badge-neutral ml-2">{t("session.unplannedMark")}</span>
            )}
          </h2>
          <p className="text-lg">
            {item.variantName} · <strong>{sayDose(item.prescription, item.maximumN)}</strong>
          </p>
          <HowItIsDone exercise={exercise} />
        </div>
        <ExerciseFigure
          exercise={exercise}
          prescription={item.prescription}
          dose={item.prescription.dose}
          heightM={stair.heightM}
          side={workingSide(item.prescription, stair.involvedSide)}
          label={t("figure.of", { exercise: exercise.name, variant: item.variantName })}
          className="h-24 w-28 sm:h-32 sm:w-60 sm:pr-11"
        />
      </div>
      {draft.differs && (
        <SetStrip sets={draft.sets} chosen={at} involved={stair.involvedSide} onChoose={setChosen} />
      )}
      <div className="border-base-300 mt-2 border-t pt-2">
        <SetFields
          key={`${draft.differs}-${at}`}
          item={item}
          school={stair.school}
          path={`items.${index}.sets.${at}`}
          title={title(stair, draft.differs, draft.sets, at)}
          lead={
            draft.differs ? null : (
              <SetCount
                count={draft.count}
                onChange={(count) => setValue(`items.${index}.count`, Math.min(20, Math.max(1, count)))}
              />
            )
          }
        />
      </div>
      <label className="mt-1 flex min-h-11 flex-wrap items-center gap-x-2 text-sm">
        <input type="checkbox" className="checkbox" checked={draft.differs} onChange={toggleDiffers} />
        {t("session.differs")}
        {!draft.differs && !draft.oneSide && first && first.side !== "both" && (
          <span className="text-base-content/80">({t("session.matches", { side: t(`side.${other}`) })})</span>
        )}
      </label>
      <WhereItIsFelt exercise={exercise} />
    </section>
  );
}

/** How many alike sets were done. */
function SetCount({ count, onChange }: { count: number; onChange: (count: number) => void }) {
  return (
    <div className="flex flex-col gap-1 text-sm font-medium">
      {t("session.sets")}
      <div className="join flex">
        <button type="button" className="btn join-item" onClick={() => onChange(count - 1)} aria-label="−">
          −
        </button>
        <output className="join-item border-base-content/20 grid w-12 place-items-center border text-lg">
          {count}
        </output>
        <button type="button" className="btn join-item" onClick={() => onChange(count + 1)} aria-label="+">
          +
        </button>
      </div>
    </div>
  );
}

function title(stair: StairView, differs: boolean, sets: readonly { side: string }[], n: number): string {
  const side = sets[n]?.side ?? "both";
  const number = differs
    ? t("session.set", { number: sets.slice(0, n + 1).filter((s) => s.side === side).length })
    : "";
  if (side !== "left" && side !== "right") return number;
  const involved = stair.involvedSide === "both" || side === stair.involvedSide;
  const leg = t(involved ? "session.setsInvolved" : "session.setsOther", { side: t(`side.${side}`) });
  return [number, leg].filter(Boolean).join(", ");
}
