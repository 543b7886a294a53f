import { useState } from "react";
import ProblemNote from "~/islands/frame/ProblemNote";
import type { StairItem, StairView } from "~/contract/episode";
import { jointOfArc } from "~/core/exercise/joint-of-arc";
import ExerciseFigure from "~/islands/figure/ExerciseFigure";
import FigureThumb from "~/islands/figure/FigureThumb";
import OutcomeMark from "~/islands/frame/OutcomeMark";
import { sayDose } from "~/messages/say-dose";
import { sayKnobValue } from "~/messages/say-knob-value";
import { label, t } from "~/messages/say";
import ArcGauge from "./ArcGauge";
import { byUrgency } from "./by-urgency";
import ProposalPanel from "./ProposalPanel";
import SignAll from "./SignAll";
import { workingSide } from "~/core/case/working-side";

interface Props {
  stair: StairView;
  signable: boolean;
  selected: string | null;
  onSelect: (itemId: string) => void;
  onSigned: (next: StairView) => void;
  onStale: (next: StairView) => void;
}

/** The items of the plan with what is proposed for each; the chosen one shows why and can be signed. */
export default function ItemList({ stair, signable, selected, onSelect, onSigned, onStale }: Props) {
  const [late, setLate] = useState<{ itemId: string; words: string } | null>(null);
  return (
    <section aria-label={t("stair.items")} data-testid="items">
      <div className="mb-1 flex flex-wrap items-center gap-2 px-1">
        <h2 className="font-semibold">{t("stair.items")}</h2>
        {signable && stair.maySign && <SignAll stair={stair} onSigned={onSigned} />}
      </div>
      <ul className="flex flex-col gap-2">
        {byUrgency(stair.items).map((item) => {
          const open = item.itemId === selected;
          return (
            <li
              key={item.itemId}
              className={`bg-base-100 rounded-box border ${open ? "border-primary" : "border-base-300"}`}
              data-testid={`item-${item.exercise.id}`}
            >
              <button
                type="button"
                className="grid min-h-14 w-full cursor-pointer grid-cols-[2rem_3.5rem_1fr_auto] items-center gap-x-3 px-3 py-2 text-left"
                aria-expanded={open}
                onClick={() => onSelect(item.itemId)}
              >
                <OutcomeMark mark={item.proposal.outcome} size={28} />
                <FigureThumb
                  exercise={item.exercise}
                  prescription={item.prescription}
                  heightM={stair.heightM}
                  side={workingSide(item.prescription, stair.involvedSide)}
                  className="size-14"
                />
                <span className="min-w-0">
                  <span className="block leading-tight font-semibold">{item.name}</span>
                  <span className="text-base-content/80 text-sm">
                    {sayDose(item.prescription, item.maximumN)}
                  </span>
                </span>
                <span className="text-lg font-semibold" data-testid="outcome">
                  {t(`outcome.${item.proposal.outcome}`)}
                </span>
              </button>
              {open && (
                <div className="border-base-300 border-t px-3 py-2 max-sm:flex max-sm:flex-col">
                  <ExerciseFigure
                    exercise={item.exercise}
                    prescription={item.prescription}
                    dose={item.prescription.dose}
                    heightM={stair.heightM}
                    side={workingSide(item.prescription, stair.involvedSide)}
                    {...lastArc(item)}
                    label={t("figure.of", { exercise: item.name, variant: item.variantName })}
                    className="h-36 pr-11 max-sm:order-last max-sm:mt-2 sm:float-right sm:ml-2 sm:w-56"
                  />
                  <p className="text-base-content/80 text-sm">
                    {t(`lane.${item.lane}`)} · {item.variantName}
                    {settings(item)}
                  </p>
                  {late?.itemId === item.itemId && (
                    <ProblemNote
                      problem={{
                        type: "/problems/stale",
                        title: [t("sign.stale"), late.words && t("sign.staleWords", { words: late.words })]
                          .filter(Boolean)
                          .join(" "),
                        status: 409,
                      }}
                    />
                  )}
                  <ProposalPanel
                    key={`${item.itemId} ${stair.version} ${stair.school}`}
                    stair={stair}
                    item={item}
                    signable={signable}
                    onSigned={(next) => {
                      setLate(null);
                      onSigned(next);
                    }}
                    onStale={(next, words) => {
                      // Kept here: the panel begins anew with what stands now.
                      setLate({ itemId: item.itemId, words });
                      onStale(next);
                    }}
                  />
                  {item.painArcs.length > 0 && <ArcGauge arcs={item.painArcs} />}
                </div>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** The last painful arc, for the figure. */
function lastArc({ painArcs, lane, prescription }: StairItem) {
  const last = painArcs.at(-1);
  return last ? { painArc: { ...last, joint: jointOfArc(lane, prescription) } } : {};
}

/** Knobs of the movement that carry a number, such as a step height; words stand in the variant's name. */
function settings(item: StairItem): string {
  const numbers = Object.entries(item.prescription.settings).filter(([, value]) => typeof value === "number");
  return numbers.map(([name, value]) => ` · ${label("knob", name)} ${sayKnobValue(name, value)}`).join("");
}
