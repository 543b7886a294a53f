import { useState } from "react";
import type { NextStep, PlanView } from "~/contract/plan";
import FigureThumb from "~/islands/figure/FigureThumb";
import { sayDose } from "~/messages/say-dose";
import { sayKnobValue } from "~/messages/say-knob-value";
import { label, sayNumber, t } from "~/messages/say";
import EndItemForm from "./EndItemForm";
import { workingSide } from "~/core/case/working-side";

interface Props {
  plan: PlanView;
  onChanged: (next: PlanView, said: string) => void;
}

/** The items of the plan in their order, each with dose, minutes and the one knob that would be turned next. */
export default function PlanItems({ plan, onChanged }: Props) {
  const [ending, setEnding] = useState<string | null>(null);
  if (plan.items.length === 0) {
    return <p className="bg-base-100 border-base-300 rounded-box border p-4">{t("plan.empty")}</p>;
  }
  return (
    <ul
      className="bg-base-100 border-base-300 rounded-box divide-base-300 divide-y border"
      data-testid="plan-items"
    >
      {plan.items.map((item) => (
        <li key={item.itemId} className="p-3" data-testid={`plan-${item.exerciseId}`}>
          <div className="grid grid-cols-[4.5rem_1fr_auto] gap-x-3">
            <FigureThumb
              exercise={{ id: item.exerciseId, lane: item.lane, drawnLike: item.drawnLike ?? undefined }}
              prescription={item.prescription}
              heightM={plan.heightM}
              side={workingSide(item.prescription, plan.involvedSide)}
              className="size-18"
            />
            <div className="min-w-0">
              <p className="leading-tight font-semibold">
                {item.name}
                {item.role !== "main" && (
                  <span className="badge badge-sm badge-outline ml-2">{t(`role.${item.role}`)}</span>
                )}
                {item.stopped && <span className="text-error ml-2 text-sm">{t("plan.stopped")}</span>}
              </p>
              <p className="text-base-content/80 text-sm">
                {t(`lane.${item.lane}`)} · {item.variantName}
              </p>
              <p>{sayDose(item.prescription, item.maximumN)}</p>
              {item.circuit && (
                <p className="text-sm font-medium">
                  {t("plan.circuit", { number: item.circuit.number, seconds: item.circuit.restSeconds })}
                </p>
              )}
              {item.against && (
                <p className="text-warning text-sm font-medium">
                  {t("plan.wentAgainst", {
                    limits: item.against.limits.join("; "),
                    reason: item.against.reason,
                  })}
                </p>
              )}
              {item.blockedBy && (
                <p className="text-warning text-sm font-medium">
                  {t("plan.blocked", { says: item.blockedBy })}
                </p>
              )}
            </div>
            <p className="text-right text-lg font-semibold whitespace-nowrap">
              {t("plan.minutes", { minutes: sayNumber(Math.round(item.time.minutes * 2) / 2) })}
            </p>
          </div>
          <div className="mt-1 grid grid-cols-[1fr_auto] items-end gap-2">
            <dl className="grid grid-cols-[auto_1fr] gap-x-3 text-sm">
              <dt className="text-base-content/75">{t("plan.harder")}</dt>
              <dd data-testid="harder">{sayStep(item.harder)}</dd>
              <dt className="text-base-content/75">{t("plan.easier")}</dt>
              <dd data-testid="easier">{sayStep(item.easier)}</dd>
            </dl>
            {plan.maySign && ending !== item.itemId && (
              <button
                type="button"
                className="btn"
                aria-label={t("plan.endOf", { exercise: item.name })}
                onClick={() => setEnding(item.itemId)}
              >
                {t("plan.end")}
              </button>
            )}
          </div>
          {ending === item.itemId && (
            <EndItemForm
              episodeId={plan.episodeId}
              item={item}
              onCancel={() => setEnding(null)}
              onEnded={(next) => {
                setEnding(null);
                onChanged(next, t("plan.ended", { exercise: item.name }));
              }}
            />
          )}
        </li>
      ))}
    </ul>
  );
}

/** The knob and where it goes, or what stops it. */
function sayStep({ knob, from, to, variantName, stoppedBy }: NextStep): string {
  if (knob !== null && stoppedBy !== null)
    return t("plan.stoppedBy", { knob: label("knob", knob), says: stoppedBy });
  if (knob === null || from === null || to === null) return t("plan.spent");
  const turned = t("change.knob", {
    knob: label("knob", knob),
    from: sayKnobValue(knob, from),
    to: sayKnobValue(knob, to),
  });
  return variantName ? `${variantName} (${turned})` : turned;
}
