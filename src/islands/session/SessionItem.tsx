import { useFormContext } from "react-hook-form";
import type { StairItem, StairView } from "~/core/interchange/contract";
import { sayDose } from "~/messages/describe";
import { t } from "~/messages/say";
import { expandedSets, type SessionDraft } from "./session-draft";
import SetFields from "./SetFields";

interface Props {
  stair: StairView;
  item: StairItem;
  index: number;
}

/** One exercise of the session: done or not, all sets alike or each by itself. */
export default function SessionItem({ stair, item, index }: Props) {
  const { watch, setValue, getValues } = useFormContext<SessionDraft>();
  const draft = watch(`items.${index}`);
  const { exercise } = item;
  const toggleDiffers = () => {
    const present = getValues(`items.${index}`);
    const sets = present.differs ? present.sets.slice(0, 1) : expandedSets(present);
    setValue(`items.${index}`, { ...present, differs: !present.differs, sets });
  };
  const setCount = (count: number) => setValue(`items.${index}.count`, Math.min(20, Math.max(1, count)));

  return (
    <section
      className="bg-base-100 border-base-300 rounded-box border p-3"
      data-testid={`session-${exercise.id}`}
      aria-label={exercise.name}
    >
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
        <h2 className="text-lg font-semibold">{exercise.name}</h2>
        <p className="text-base-content/80">
          {item.variantName} · {sayDose(item.prescription, item.maximumN)}
        </p>
        <label className="ml-auto flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            className="toggle toggle-primary"
            checked={draft.done}
            onChange={(event) => setValue(`items.${index}.done`, event.target.checked)}
          />
          {draft.done ? t("session.do") : t("session.skip")}
        </label>
      </div>
      <p className="text-base-content/75 text-sm">{exercise.cues.join(" · ")}</p>
      {draft.done && (
        <div className="mt-2 flex flex-col gap-3">
          <div className="flex flex-wrap items-end gap-3">
            {!draft.differs && (
              <div className="text-sm font-medium">
                {t("session.sets")}
                <div className="join mt-1 flex">
                  <button
                    type="button"
                    className="btn join-item"
                    onClick={() => setCount(draft.count - 1)}
                    aria-label="−"
                  >
                    −
                  </button>
                  <output className="join-item border-base-content/20 grid w-12 place-items-center border text-lg">
                    {draft.count}
                  </output>
                  <button
                    type="button"
                    className="btn join-item"
                    onClick={() => setCount(draft.count + 1)}
                    aria-label="+"
                  >
                    +
                  </button>
                </div>
              </div>
            )}
            <label className="flex min-h-11 items-center gap-2 text-sm">
              <input type="checkbox" className="checkbox" checked={draft.differs} onChange={toggleDiffers} />
              {t("session.differs")}
            </label>
          </div>
          {draft.sets.map((set, n) => (
            <SetFields
              key={`${draft.differs}-${n}`}
              item={item}
              path={`items.${index}.sets.${n}`}
              title={title(stair, draft.differs, set.side, n)}
            />
          ))}
        </div>
      )}
    </section>
  );
}

function title(stair: StairView, differs: boolean, side: "left" | "right" | "both", n: number): string {
  const number = differs ? t("session.set", { number: n + 1 }) : "";
  if (side === "both") return number;
  const involved = stair.involvedSide === "both" || side === stair.involvedSide;
  const leg = t(involved ? "session.setsInvolved" : "session.setsOther", { side: t(`side.${side}`) });
  return [number, leg].filter(Boolean).join(", ");
}
