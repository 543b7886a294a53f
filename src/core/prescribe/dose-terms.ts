import { kgFromPounds } from "~/core/load/pounds";
import { doseStyle, type Work } from "~/core/dose/dose-style";
import type { DoseLineContext, DoseLineTurns, DoseTerm, SettingWord, TermRead } from "./dose-term";
import { knobByName } from "~/core/exercise/knob";
import { itemRoles } from "~/core/exercise/role";

const n = String.raw`(\d+(?:\.\d+)?)`;
const range = String.raw`${n}(?:\s*(?:-|to)\s*${n})?`;
/** Nothing that would make a longer word of it. */
const end = String.raw`(?![\p{L}\d])`;
const seconds = String.raw`s(?:ec(?:ond)?s?)?${end}`;
const minutes = String.raw`min(?:ute)?s?${end}`;
const term = (source: string, read: DoseTerm["read"]): DoseTerm => ({
  pattern: new RegExp(source, "iu"),
  read,
});

const worksIn = ({ prescription: { dose } }: DoseLineContext): readonly Work[] => doseStyle(dose.style).work;
const rangeOf = (low = "", high = low) => ({ bottom: Number(low), top: Number(high) });
const times = ["", "once", "twice"];
const countOf = (said = "") => Math.max(times.indexOf(said.toLowerCase()), 0) || Number(said);

/** Of a dose that has several, the one that a number alone means: ten held three seconds are `x10`. */
const countedFirst: readonly Work[] = ["reps", "contacts", "minutes", "hold"];

/** The amount of a set in a unit that the style counts in; of a number alone, in what is counted by now. */
function work(
  unit: Work | undefined,
  low: string | undefined,
  high: string | undefined,
  context: DoseLineContext,
) {
  const counted = worksIn(context);
  const found =
    unit ?? countedFirst.find((one) => context.prescription.dose[one] !== undefined) ?? counted[0];
  if (!found || !counted.includes(found)) return null;
  return found === "minutes" ? { minutes: Number(low) } : { [found]: rangeOf(low, high) };
}

const unitsOfWork: readonly [RegExp, Work][] = [
  [/^s/iu, "hold"],
  [/^(?:c|hop|jump|land)/iu, "contacts"],
  [/^m/iu, "minutes"],
  [/^r/iu, "reps"],
];
const workUnit = String.raw`(${seconds}|contacts?|hops?|jumps?|landings?|${minutes}|reps?|rm)?`;
const unitOf = (said: string | undefined) => unitsOfWork.find(([pattern]) => said && pattern.test(said))?.[1];

/** Numbers go to the one setting of their unit; where there are several, they want a name. */
function numeric(
  unit: string,
  value: string | undefined,
  named: string | undefined,
  { prescription, words }: DoseLineContext,
): TermRead {
  const fitting = Object.keys(prescription.settings).filter((name) => {
    const knob = knobByName(name);
    return knob.words === undefined && name !== "arc" && knob.unit === unit;
  });
  const meant = named ? fitting.filter((name) => name.startsWith(named.toLowerCase())) : fitting;
  const [only] = meant;
  if (!only) return null;
  if (meant.length > 1) return { among: meant.map((name) => labelOf(name, words)) };
  return { settings: { [only]: Number(value) } };
}
const labelOf = (name: string, words: readonly SettingWord[]) =>
  words.find(({ knob }) => knob === name)?.label ?? name.replaceAll("-", " ");

/** Left or right, as the leg that was hurt or the other one; of two hurt legs neither alone. */
function leg(side: "left" | "right", { involvedSide }: DoseLineContext): DoseLineTurns | null {
  if (involvedSide !== "left" && involvedSide !== "right") return null;
  return { leg: side === involvedSide ? "affected" : "other" };
}

/** The tokens of a word, as far as some setting still begins with each of them. */
function settingWord(said: string, { words }: DoseLineContext): TermRead {
  const asked = said.toLowerCase().split(/\s+/u);
  const partsOf = (text: string) => text.toLowerCase().split(/[\s-]+/u);
  const fits = ({ label, said: stands }: SettingWord) =>
    asked.every((word) => partsOf(`${label} ${stands}`).some((part) => part.startsWith(word))) &&
    asked.some((word) => partsOf(stands).some((part) => part.startsWith(word)));
  const found = words.filter(fits);
  // Said in full, it is meant, though something longer begins alike.
  const whole = found.filter(({ said: stands }) => partsOf(stands).join(" ") === asked.join(" "));
  const meant = whole.length === 1 ? whole : found;
  const [only] = meant;
  if (!only) return null;
  if (meant.length > 1) return { among: meant.map(({ label, said: stands }) => `${label} ${stands}`) };
  return { settings: { [only.knob]: only.value } };
}

/** Every way of saying something in a dose line, those that say more first. Words of the trade: common practice. */
export const doseTerms: readonly DoseTerm[] = [
  term(`(?:tempo\\s*)?${n}-${n}-${n}-${n}${end}`, ([, ...parts], context) =>
    worksIn(context).includes("reps") ? { dose: { tempo: parts.join("-") } } : null,
  ),
  term(
    String.raw`(?:tempo\s*)?(\d)(\d)(\d)(\d)(?![\d.\p{L}%°]|\s*(?:kg|cm|s|n)\b)`,
    ([, ...parts], context) =>
      worksIn(context).includes("reps") ? { dose: { tempo: parts.join("-") } } : null,
  ),
  term(String.raw`(\d+)\s*x\s*${range}\s*${workUnit}${end}`, ([, sets, low, high, unit], context) => {
    const amount = work(unitOf(unit), low, high, context);
    return amount && { dose: { sets: Number(sets), ...amount } };
  }),
  term(String.raw`(\d+)\s*sets?${end}`, ([, sets]) => ({ dose: { sets: Number(sets) } })),
  term(String.raw`rest\s*${n}\s*${minutes}|${n}\s*${minutes}\s*rest${end}`, ([, after, before]) => ({
    dose: { restSeconds: 60 * Number(after ?? before) },
  })),
  term(String.raw`(?:rest\s*${n}\s*(?:${seconds})?|${n}\s*${seconds}\s*rest)${end}`, ([, after, before]) => ({
    dose: { restSeconds: Number(after ?? before) },
  })),
  term(String.raw`(?:halfway|half-way)\s*${n}\s*(?:${seconds})?`, ([, pause], context) =>
    worksIn(context).includes("reps") ? { dose: { halfwayPauseSeconds: Number(pause) } } : null,
  ),
  term(String.raw`(?:hold|held)\s*${range}\s*(?:${seconds})?`, ([, low, high], context) => {
    const amount = work("hold", low, high, context);
    return amount && { dose: amount };
  }),
  term(String.raw`(?:daily|every\s+day)${end}`, () => ({ dose: { daysPerWeek: 7 } })),
  term(
    String.raw`(\d|once|twice)\s*(?:x|times)?\s*(?:\/\s*|a\s*|per\s*)(?:w(?:ee)?k|w)${end}|(\d)\s*days?${end}`,
    ([, aWeek, days]) => ({ dose: { daysPerWeek: countOf(aWeek ?? days) } }),
  ),
  term(String.raw`(\d|once|twice)\s*(?:x|times)?\s*(?:\/\s*|a\s*|per\s*)d(?:ay)?${end}`, ([, aDay]) => ({
    dose: { boutsPerDay: countOf(aDay) },
  })),
  term(String.raw`${n}\s*kg${end}`, ([, kg]) => ({ dose: { loadKg: Number(kg) } })),
  term(String.raw`${n}\s*(?:lbs?|pounds?)${end}`, ([, lb]) => ({
    dose: { loadKg: kgFromPounds(Number(lb)) },
  })),
  term(String.raw`${n}\s*n${end}`, ([, newton], { prescription }) =>
    prescription.dose.bandN === undefined ? null : { dose: { bandN: Number(newton) } },
  ),
  term(String.raw`(speed\s*)?${range}\s*%`, ([, named, low, high], { prescription }) => {
    if (!named && prescription.settings["contraction"] === "isometric")
      return { dose: { effort: { lowPercent: Number(low), highPercent: Number(high ?? low) } } };
    return prescription.settings["speed"] === undefined ? null : { settings: { speed: Number(low) } };
  }),
  term(
    String.raw`(?:arc\s*)?(\d+)\s*(?:-|to)\s*(\d+)\s*(?:°|deg(?:rees)?)`,
    ([, from, to], { prescription }) =>
      prescription.settings["arc"] === undefined ? null : { settings: { arc: `${from}-${to}` } },
  ),
  term(String.raw`(?:(knee|hip)\s*)?${n}\s*(?:°|deg(?:rees)?${end})`, ([, named, value], context) =>
    numeric("deg", value, named, context),
  ),
  term(String.raw`(?:(box|step|reach|drop)\s*)?${n}\s*cm${end}`, ([, named, value], context) =>
    numeric("cm", value, named, context),
  ),
  term(String.raw`${range}\s*${workUnit}${end}`, ([, low, high, said], context) => {
    const unit = unitOf(said);
    const amount = unit ? work(unit, low, high, context) : null;
    return amount && { dose: amount };
  }),
  term(String.raw`(?:each|both\s+legs)(?:\s+(?:leg|side))?${end}`, () => ({ leg: null })),
  term(`(l(?:eft)?|r(?:ight)?)${end}`, ([, said = ""], context) =>
    leg(said.toLowerCase().startsWith("l") ? "left" : "right", context),
  ),
  term(`(${itemRoles.join("|")})${end}`, ([, said], { takesRole }) => {
    const role = takesRole && itemRoles.find((code) => code === said?.toLowerCase());
    return role ? { role } : null;
  }),
  // Words of settings: as many as go together, then fewer.
  ...[4, 3, 2, 1].map((count) =>
    term(
      String.raw`\p{L}[\p{L}\d-]*(?:\s+[\p{L}\d][\p{L}\d-]*){${count - 1}}(?![^\s,;·])`,
      ([said], context) => settingWord(said, context),
    ),
  ),
];
