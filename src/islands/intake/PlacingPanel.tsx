import { useState } from "react";
import { v5 as uuidOf } from "uuid";
import { chosenInstead, planOfChoice, proposedChoice } from "~/core/intake/placed-choice";
import type { Intake } from "~/core/intake/intake";
import type { Placing } from "~/core/intake/placing";
import FigureThumb from "~/islands/figure/FigureThumb";
import { useWrite } from "~/islands/frame/use-write";
import ProblemNote from "~/islands/frame/ProblemNote";
import { sayDose } from "~/messages/say-dose";
import { sayPlacingReason } from "~/messages/placing";
import { sayNumber, t } from "~/messages/say";
import type { PathwayChoice } from "./choices";

interface Props {
  id: string;
  pathway: PathwayChoice;
  placing: Placing;
  intake: Intake;
  /** Nothing was changed in the form since this was made for it. */
  isCurrent: boolean;
  beside: string;
  maySign: boolean;
  /** Something of it was chosen otherwise. */
  onTouched: () => void;
}

const mostReasons = 3;

/** The stage and, lane by lane, the exercise proposed, each with its reason; changed here and signed. */
export default function PlacingPanel({
  id,
  pathway,
  placing,
  intake,
  isCurrent,
  beside,
  maySign,
  onTouched,
}: Props) {
  const [stage, setStage] = useState(placing.stage);
  const [reason, setReason] = useState("");
  const { send, busy, problem } = useWrite("signIntake", {});
  const [chosen, setChosen] = useState(() => proposedChoice(placing));

  const { items, minutes } = planOfChoice(chosen);
  const others = stage !== placing.stage;
  const place = (code: string) => pathway.stages.findIndex((one) => one.code === code);
  const isPast = place(stage) > place(placing.stage);
  const caution = pathway.stages[place(stage)]?.caution;
  const sign = async () => {
    const written = await send({
      id,
      intake,
      ...(beside ? { beside } : {}),
      stage,
      ...(others && reason.trim() ? { reason: reason.trim() } : {}),
      items: items.map(({ exerciseId, variantId, prescription }) => ({
        // The same exercise of the same intake has the same id, however often it is sent.
        id: uuidOf(exerciseId, id),
        exerciseId,
        variantId,
        sets: prescription.dose.sets,
        ...(prescription.leg === undefined ? {} : { leg: prescription.leg }),
      })),
    });
    if (written) location.assign(`/episodes/${written.id}`);
  };
  const choose = (at: number, variantId: string) => {
    setChosen(chosenInstead(placing, chosen, at, variantId));
    onTouched();
  };

  return (
    <div data-testid="placing">
      <h2 className="text-xl font-bold">{t("placing.title")}</h2>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <label className="flex flex-col text-sm">
          {t("placing.stage")}
          <select
            className="select w-64 text-base"
            value={stage}
            onChange={(event) => {
              setStage(event.target.value);
              onTouched();
            }}
          >
            {pathway.stages.map(({ code, name }, n) => (
              <option key={code} value={code}>
                {n + 1} · {name}
              </option>
            ))}
          </select>
        </label>
        <ul className="text-base-content/85 text-sm" data-testid="placing-reasons">
          {placing.reasons.map((why) => (
            <li key={why.code}>{sayPlacingReason(why)}</li>
          ))}
        </ul>
      </div>
      {caution && <p className="text-error mt-1 text-sm font-medium">{caution}</p>}
      {isPast && (
        <div className="border-warning rounded-box mt-2 border-2 p-2" data-testid="past-gate">
          <p className="font-semibold">{t("placing.past")}</p>
          <ul className="list-disc pl-5 text-sm">
            {placing.gate && placing.gate.daysLeft > 0 && (
              <li>{t("stair.gateTime", { days: placing.gate.daysLeft })}</li>
            )}
            {(placing.gate?.criteria ?? [])
              .filter((criterion) => criterion.required && !criterion.passes)
              .map(({ id: code, name }) => (
                <li key={code}>{name}</li>
              ))}
          </ul>
        </div>
      )}
      {others && (
        <label className="mt-2 block text-sm font-medium">
          {t("placing.otherStage")}
          <input
            className="input w-full"
            value={reason}
            onChange={(event) => setReason(event.target.value)}
          />
        </label>
      )}
      <ul className="mt-3">
        {placing.lanes.map((lane, n) => (
          <li
            key={lane.lane}
            className="border-base-300 grid grid-cols-[4rem_minmax(0,1fr)] gap-x-3 border-t py-2"
            data-testid={`placed-${lane.lane}`}
          >
            <div>
              {chosen[n] && (
                <FigureThumb
                  exercise={{
                    id: chosen[n].exerciseId,
                    lane: lane.lane,
                    drawnLike: chosen[n].drawnLike ?? undefined,
                  }}
                  prescription={chosen[n].prescription}
                  heightM={null}
                  side={intake.involvedSide}
                  className="size-16"
                />
              )}
            </div>
            <div className="text-sm">
              <div className="flex flex-wrap items-baseline justify-between gap-x-3">
                <h3 className="font-semibold">{t(`lane.${lane.lane}`)}</h3>
                {chosen[n] && (
                  <span>
                    {sayDose(chosen[n].prescription, null)} ·{" "}
                    <span className="font-semibold">
                      {t("plan.minutes", { minutes: sayNumber(Math.round(chosen[n].time.minutes * 2) / 2) })}
                    </span>
                  </span>
                )}
              </div>
              <select
                className="select w-full text-ellipsis"
                aria-label={t(`lane.${lane.lane}`)}
                value={chosen[n]?.variantId ?? ""}
                onChange={(event) => choose(n, event.target.value)}
              >
                {[lane.chosen, ...lane.alternatives].map((item) =>
                  item ? (
                    <option key={item.variantId} value={item.variantId}>
                      {item.exerciseName}: {item.variantName}
                    </option>
                  ) : null,
                )}
                <option value="">{t("placing.none")}</option>
              </select>
              <p className="text-base-content/75">{lane.reasons.map(sayPlacingReason).join(" ")}</p>
              {lane.leftOut.length > 0 && (
                <p className="text-base-content/75 text-xs">
                  {t("placing.leftOut", {
                    reasons: lane.leftOut
                      .slice(0, mostReasons)
                      .map(({ says, count }) => `${says} (${count})`)
                      .join("; "),
                  })}
                </p>
              )}
            </div>
          </li>
        ))}
      </ul>
      {placing.weeksToTarget !== null && (
        <p className={placing.weeksNeeded > placing.weeksToTarget ? "text-warning" : ""}>
          {t("placing.target", { left: placing.weeksToTarget, needed: placing.weeksNeeded })}
        </p>
      )}
      <ProblemNote problem={problem} />
      <div className="bg-base-100 sticky bottom-0 -mx-4 flex flex-wrap items-center gap-x-4 px-4 pt-2 pb-4">
        {maySign ? (
          <button
            type="button"
            className="btn btn-primary btn-lg"
            disabled={busy || !isCurrent || items.length === 0}
            onClick={sign}
          >
            {t("placing.sign")}
          </button>
        ) : (
          <p>{t("sign.mayNot")}</p>
        )}
        <p className={`font-semibold ${minutes > intake.minutesPerDay ? "text-warning" : ""}`}>
          {t("placing.sum", {
            items: items.length,
            minutes: sayNumber(Math.round(minutes)),
            have: intake.minutesPerDay,
          })}
        </p>
      </div>
    </div>
  );
}
