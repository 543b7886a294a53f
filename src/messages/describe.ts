import type { CriterionResult } from "~/core/gate/gate";
import type { Evidence } from "~/core/decision/record/evidence";
import { effortTarget } from "~/core/dose/effort-target";
import type { WorkRange } from "~/core/dose/dose";
import type { Change } from "~/core/progression/change";
import { knobByName } from "~/core/exercise/knob";
import type { KnobValue, Prescription } from "~/core/exercise/prescription";
import { isKey, label, sayDate, sayNumber, sayQuantity, t, type Values } from "./say";

/** Values that are codes, and the group of the message file that has their words. */
const codedValues: Record<string, string> = {
  knob: "knob",
  school: "school",
  lane: "lane",
  signal: "signal",
  urgency: "urgency",
};
const dateValues = new Set(["until", "first", "on"]);

/** One sentence for a piece of evidence. */
export function sayEvidence({ code, values, date }: Evidence): string {
  const words: Values = { date: date ? sayDate(date) : "" };
  for (const [name, value] of Object.entries(values)) {
    const group = codedValues[name];
    if (group) words[name] = label(group, String(value));
    else if (name === "to" && values["knob"])
      words[name] = sayKnobValue(String(values["knob"]), value as KnobValue);
    else words[name] = dateValues.has(name) ? sayDate(String(value)) : value;
  }
  return t(`evidence.${code}`, words);
}

/** The rule in a few words; a hold is named by the evidence nearest to being solved. */
export function sayRule(rule: string, evidence: readonly Evidence[]): string {
  const key = `rule.${rule}`;
  const first = evidence[0];
  return isKey(key) ? t(key) : first ? sayEvidence(first) : rule;
}

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
    loadKg ? t("dose.load", { kg: sayNumber(loadKg) }) : "",
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

/** Where a knob stands, with its unit: 15 cm, 50–70 %, single. */
export function sayKnobValue(name: string, value: KnobValue): string {
  const { unit } = knobByName(name);
  const text = String(value);
  const said = `knobValue.${name}.${text}`;
  if (isKey(said)) return t(said);
  const [low, high] = text.split("-");
  const isRange = /^\d+-\d+$/.test(text);
  // A tempo such as 3-1-1-0 is written as it is spoken; ranges get a dash, codes a space.
  const words =
    name === "tempo"
      ? text
      : isRange
        ? low === high
          ? `${low}`
          : `${low}–${high}`
        : text.replaceAll("-", " ");
  const sign = label("unit", unit);
  return sign ? `${words}${sign === "°" ? "" : " "}${sign}` : words;
}

/** What a change would do, in words, with newtons where an effort band moves. */
export function sayChange(
  change: Change,
  maximumN: number | null,
  variantName?: (id: string) => string,
): string {
  if (change.kind === "lane-ready") return t("change.lane-ready");
  if (change.kind === "offer") return t(`change.offer.${change.offer}`);
  if (change.kind === "by-hand")
    return t("change.byHand", {
      variant: variantName?.(change.prescription.variantId) ?? "",
      dose: sayDose(change.prescription, maximumN),
    });
  if (change.kind === "suspend") return t(`change.suspend.${change.scope}`);
  const { effort } = change.prescription.dose;
  const force = change.knob === "effort" && effort && maximumN ? ` (${sayForce(effort, maximumN)})` : "";
  const turned = t("change.knob", {
    knob: label("knob", change.knob),
    from: sayKnobValue(change.knob, change.from),
    to: sayKnobValue(change.knob, change.to),
  });
  const variant = change.kind === "variant" && variantName ? variantName(change.prescription.variantId) : "";
  return variant ? `${variant} (${turned})` : `${turned}${force}`;
}

/** What a criterion asks: 'at least' or 'at most' so much; without a norm for this person by age alone. */
export function sayAsked(
  criterion: Pick<CriterionResult, "comparison" | "threshold" | "unit" | "grades">,
): string {
  const { comparison, threshold } = criterion;
  if (comparison === ">=" && threshold === 0) return t("gate.byAge");
  return `${comparison === ">=" ? "≥" : "≤"} ${sayFound(threshold, criterion)}`;
}

/** A value of a criterion: the word of its grade, else the number with its unit. */
export function sayFound(value: number, { unit, grades }: Pick<CriterionResult, "unit" | "grades">): string {
  return grades?.[value] ?? sayQuantity(value, unit);
}
