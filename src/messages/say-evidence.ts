import type { Evidence } from "~/core/decision/record/evidence";
import { painSchool, type PainSchoolCode } from "~/core/response/pain-school";
import type { KnobValue } from "~/core/exercise/prescription";
import { sayKnobValue } from "./say-knob-value";
import { isKey, label, sayDate, t, type Values } from "./say";

/** Values that are codes, and the group of the message file that has their words. */
const codedValues: Record<string, string> = {
  knob: "knob",
  lane: "lane",
  signal: "signal",
  urgency: "urgency",
};
/** A value that is a local date, whatever its name: one name stands for a date in one sentence and for a figure in another. */
const isDate = (value: unknown): value is string =>
  typeof value === "string" && /^\d{4}-\d{2}-\d{2}$/.test(value);

/** One sentence for a piece of evidence. */
export function sayEvidence({ code, values, date }: Evidence): string {
  const words: Values = { date: date ? sayDate(date) : "", ...allowedBy(code, values) };
  for (const [name, value] of Object.entries(values)) {
    const group = codedValues[name];
    if (group) words[name] = label(group, String(value));
    else if (name === "to" && values["knob"])
      words[name] = sayKnobValue(String(values["knob"]), value as KnobValue);
    else words[name] = isDate(value) ? sayDate(value) : value;
  }
  return t(`evidence.${code}`, words);
}

/** What the pain rule would have allowed, where pain went beyond it. */
function allowedBy(code: Evidence["code"], { school, painBefore, painNextDay }: Evidence["values"]): Values {
  if (typeof school !== "string") return {};
  const { goMax, easeAtNextDay, holdMaxRise } = painSchool(school as PainSchoolCode);
  if (code === "next-day-ease") {
    const isHigh = easeAtNextDay !== null && Number(painNextDay) - Number(painBefore) <= holdMaxRise;
    return {
      allowed: isHigh ? t("school.after.high", { from: easeAtNextDay }) : label("school.after", school),
    };
  }
  const isSore = Number(painBefore) > goMax;
  return { allowed: isSore ? t("school.during.sore") : label("school.during", school) };
}

/** The rule in a few words; a hold is named by the evidence nearest to being solved. */
export function sayRule(rule: string, evidence: readonly Evidence[]): string {
  const key = `rule.${rule}`;
  const first = evidence[0];
  return isKey(key) ? t(key) : first ? sayEvidence(first) : rule;
}
