import type { Dose } from "~/core/dose/dose";
import type { FieldProblem } from "~/core/schema/field-problem";
import type { Variant } from "~/core/exercise/exercise";
import { knobByName } from "~/core/exercise/knob";
import { typedNumber } from "~/islands/frame/typed-number";

const singles = ["sets", "minutes", "restSeconds", "daysPerWeek"] as const;
const ranges = ["reps", "hold", "contacts"] as const;
type Single = (typeof singles)[number];
type Range = (typeof ranges)[number];

/** A dose as it stands in the form: what it counts, as text; nothing for what it does not count. */
export type DoseText = Partial<Record<Single | `${Range}.${"bottom" | "top"}`, string>>;
export type DoseField = keyof DoseText;

/** The fields in the order in which they are asked. */
export const doseFields: readonly DoseField[] = [
  "sets",
  ...ranges.flatMap((name) => [`${name}.bottom`, `${name}.top`] as const),
  "minutes",
  "restSeconds",
  "daysPerWeek",
];

const limits: Record<Single | Range, { low: number; high: number; whole: boolean }> = {
  sets: { low: 1, high: 20, whole: true },
  reps: { low: 1, high: 1000, whole: true },
  hold: { low: 1, high: 1000, whole: false },
  contacts: { low: 1, high: 1000, whole: true },
  minutes: { low: 0.1, high: 180, whole: false },
  restSeconds: { low: 0, high: 900, whole: true },
  daysPerWeek: { low: 1, high: 7, whole: true },
};

/** What a dose says, as text. */
export function doseText(dose: Dose): DoseText {
  const own = singles.flatMap((name) => (dose[name] === undefined ? [] : [[name, String(dose[name])]]));
  const spans = ranges.flatMap((name) => {
    const range = dose[name];
    return range
      ? [
          [`${name}.bottom`, String(range.bottom)],
          [`${name}.top`, String(range.top)],
        ]
      : [];
  });
  return Object.fromEntries([...own, ...spans]);
}

const numberOf = (text: string) => typedNumber(text) ?? NaN;
const limitOf = (field: DoseField) => limits[field.split(".")[0] as Single | Range];

/** What is wrong with the text of a dose, by field: not a number, out of its range, a range the wrong way round. */
export function doseTextProblems(text: DoseText, path: string): FieldProblem[] {
  const wrong = doseFields.flatMap((field) => {
    const given = text[field];
    if (given === undefined) return [];
    const { low, high, whole } = limitOf(field);
    const value = numberOf(given);
    const fits = value >= low && value <= high && (!whole || Number.isInteger(value));
    if (fits) return [];
    return [
      {
        path: `${path}/${field}`,
        problem: `${whole ? "a whole number" : "a number"} from ${low} to ${high}`,
      },
    ];
  });
  if (wrong.length > 0) return wrong;
  return ranges.flatMap((name) =>
    numberOf(text[`${name}.bottom`] ?? "1") > numberOf(text[`${name}.top`] ?? "1000")
      ? [{ path: `${path}/${name}.top`, problem: "not below its lower end" }]
      : [],
  );
}

/**
 * A variant with the dose that the text says. Where the variant's own order turns what was altered, its new value is put
 * among the values it is turned through, easy to hard.
 *
 * @param text without problems
 */
export function withDose(variant: Variant, text: DoseText): Variant {
  const own = singles.flatMap((name) => (text[name] === undefined ? [] : [[name, numberOf(text[name])]]));
  const spans = ranges.flatMap((name) => {
    const [bottom, top] = [text[`${name}.bottom`], text[`${name}.top`]];
    return bottom === undefined || top === undefined
      ? []
      : [[name, { bottom: numberOf(bottom), top: numberOf(top) }]];
  });
  const dose: Dose = { ...variant.dose, ...Object.fromEntries([...own, ...spans]) };
  const turned = { ...variant, dose };
  return {
    ...turned,
    turns: variant.turns.map((turn) => {
      if (!("ladder" in turn)) return turn;
      const knob = knobByName(turn.knob);
      const value = knob.read({ variantId: variant.id, settings: variant.settings, dose });
      if (value === undefined || turn.ladder.includes(value)) return turn;
      const ladder = [...turn.ladder, value].sort((a, b) => knob.rank(a) - knob.rank(b));
      return { ...turn, ladder };
    }),
  };
}
