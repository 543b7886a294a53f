import { faultPhases, limitKinds } from "~/core/response/session-record";

/** The words of the quick line, each with what it sets. The help under `?` and the completions are made from this list. */
export interface QuickWord {
  readonly word: string;
  /** Shorter spellings that mean the same. */
  readonly also: readonly string[];
  readonly takes: "number" | "code" | "nothing";
  readonly example: string;
  /** The entry of the help that shows it. */
  readonly helpUnder: QuickHelpCode;
}

/** Entries of the help, in the order in which a line is learnt; their words stand in the message file. */
export const quickHelpCodes = [
  "before",
  "sets",
  "differ",
  "amounts",
  "pain",
  "with",
  "fault",
  "limit",
  "sides",
  "item",
] as const;
export type QuickHelpCode = (typeof quickHelpCodes)[number];

export const quickWords: readonly QuickWord[] = [
  { word: "before", also: ["b"], takes: "number", example: "before 2", helpUnder: "before" },
  { word: "pain", also: ["p"], takes: "number", example: "pain 2", helpUnder: "pain" },
  { word: "effort", also: ["e"], takes: "number", example: "effort 7.5", helpUnder: "pain" },
  { word: "hold", also: ["h"], takes: "number", example: "hold 5", helpUnder: "amounts" },
  { word: "sure", also: [], takes: "number", example: "sure 6", helpUnder: "limit" },
  { word: "fault", also: ["f"], takes: "code", example: "fault knee-in 3", helpUnder: "fault" },
  { word: "slight", also: [], takes: "code", example: "slight knee-in some", helpUnder: "fault" },
  { word: "limit", also: ["l"], takes: "code", example: "limit pinch 2", helpUnder: "limit" },
  { word: "left", also: [], takes: "nothing", example: "left 2x12", helpUnder: "sides" },
  { word: "right", also: [], takes: "nothing", example: "right 2x10", helpUnder: "sides" },
  { word: "depth", also: [], takes: "number", example: "p6 depth 70", helpUnder: "with" },
  { word: "heavy", also: [], takes: "nothing", example: "p6 heavy", helpUnder: "with" },
  { word: "down", also: [], takes: "nothing", example: "p6 down", helpUnder: "with" },
  { word: "up", also: [], takes: "nothing", example: "p6 up", helpUnder: "with" },
  { word: "after", also: [], takes: "nothing", example: "p6 after", helpUnder: "with" },
  { word: "anyhow", also: [], takes: "nothing", example: "p6 anyhow", helpUnder: "with" },
  { word: "muscle", also: [], takes: "nothing", example: "p6 muscle", helpUnder: "pain" },
  { word: "elsewhere", also: [], takes: "nothing", example: "p4 elsewhere", helpUnder: "pain" },
];

/** What a number's unit makes of it; a number without one is repetitions, or what the exercise counts instead. */
export const quickUnits = {
  kg: "loadKg",
  lb: "loadKg",
  n: "forceN",
  s: "holdSeconds",
  c: "contacts",
  min: "minutes",
} as const;
export type QuickUnit = keyof typeof quickUnits;

export const quickLimits = limitKinds;
export const quickPhases = faultPhases;

/** What a unit looks like in a line, and where the help shows it. */
const unitExamples: Record<QuickUnit, readonly [example: string, helpUnder: QuickHelpCode]> = {
  kg: ["20kg", "amounts"],
  lb: ["45lb", "amounts"],
  n: ["110n", "amounts"],
  s: ["5x10s", "sets"],
  c: ["2x25c", "sets"],
  min: ["20min", "sets"],
};

/** What is neither a word nor a unit: how often, how sets differ, which exercise. */
const forms: Partial<Record<QuickHelpCode, readonly string[]>> = {
  sets: ["3x12"],
  differ: ["12 / 12 / 10"],
  with: ["p6 depth 30 to 50"],
  item: ["squat: 3x12", "3: 3x12"],
};

/** The help of the quick line, made from the grammar: every form, unit and word with an example under its entry. */
export function quickHelp(): { code: QuickHelpCode; examples: string[] }[] {
  const units = Object.values(unitExamples);
  return quickHelpCodes.map((code) => ({
    code,
    examples: [
      ...(forms[code] ?? []),
      ...units.filter(([, under]) => under === code).map(([example]) => example),
      ...quickWords.filter((word) => word.helpUnder === code).map((word) => word.example),
    ],
  }));
}
