import { effortTarget } from "~/core/dose/effort-target";
import type { WorkRange } from "~/core/dose/dose";
import type { Prescription } from "~/core/exercise/prescription";
import { sayNumber, sayWeight, t } from "./say";

/** A range: one number when both ends are alike. */
export function sayRange({ bottom, top }: WorkRange): string {
  return bottom === top ? String(top) : `${bottom}–${top}`;
}

/** A dose in one line, with newtons where a maximum is known: 5 × 10 s · 50–70 % · 90–126 N. */
export function sayDose({ dose, leg }: Pick<Prescription, "dose" | "leg">, maximumN: number | null): string {
  const {
    reps,
    hold,
    contacts,
    minutes,
    effort,
    loadKg,
    tempo,
    bandN,
    bodyWeightPercent,
    maximumPercent,
    halfwayPauseSeconds,
    boutsPerDay,
  } = dose;
  const held = hold && hold.top > 1 ? sayRange(hold) : null;
  const work = [
    reps && held ? t("dose.repsHeld", { reps: sayRange(reps), seconds: held }) : "",
    reps && !held ? t("dose.reps", { reps: sayRange(reps) }) : "",
    !reps && hold ? t("dose.held", { seconds: sayRange(hold) }) : "",
    contacts ? t("dose.contacts", { contacts: sayRange(contacts) }) : "",
    minutes ? t("dose.minutes", { minutes }) : "",
  ].filter(Boolean);
  return [
    `${t("dose.sets", { sets: dose.sets })} ${work.join(", ")}`,
    leg ? t(`dose.leg.${leg}`) : "",
    effort ? t("dose.effort", { low: effort.lowPercent, high: effort.highPercent }) : "",
    effort && maximumN ? sayForce(effort, maximumN) : "",
    loadKg ? sayWeight(loadKg) : "",
    bandN ? t("dose.band", { n: sayNumber(bandN) }) : "",
    bodyWeightPercent && !loadKg ? t("dose.bodyWeight", { percent: bodyWeightPercent }) : "",
    maximumPercent && !loadKg ? t("dose.maximum", { percent: maximumPercent }) : "",
    tempo ? t("dose.tempo", { tempo }) : "",
    halfwayPauseSeconds ? t("dose.halfway", { seconds: sayNumber(halfwayPauseSeconds) }) : "",
    boutsPerDay && boutsPerDay > 1 ? t("dose.bouts", { bouts: boutsPerDay }) : "",
  ]
    .filter(Boolean)
    .join(" · ");
}

/** Newtons of an effort band: 54–72 N. */
export function sayForce(effort: { lowPercent: number; highPercent: number }, maximumN: number): string {
  const { lowN, highN } = effortTarget({ maximumN, ...effort });
  return t("dose.force", { low: sayNumber(lowN), high: sayNumber(highN) });
}
