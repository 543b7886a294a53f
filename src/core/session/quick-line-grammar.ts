import { faultPhases, limitKinds } from "~/core/response/session-record";

/** The words of the quick line, each with what it sets. The help under `?` and the completions are made from this list. */
export interface QuickWord {
  readonly word: string;
  /** Shorter spellings that mean the same. */
  readonly also: readonly string[];
  readonly takes: "number" | "code" | "nothing";
  readonly example: string;
}

export const quickWords: readonly QuickWord[] = [
  { word: "pain", also: ["p"], takes: "number", example: "pain 2" },
  { word: "effort", also: ["e"], takes: "number", example: "effort 7.5" },
  { word: "hold", also: ["h"], takes: "number", example: "hold 5" },
  { word: "sure", also: [], takes: "number", example: "sure 6" },
  { word: "fault", also: ["f"], takes: "code", example: "fault knee-in 3" },
  { word: "slight", also: [], takes: "code", example: "slight knee-in most" },
  { word: "limit", also: ["l"], takes: "code", example: "limit pinch 2" },
  { word: "left", also: [], takes: "nothing", example: "left" },
  { word: "right", also: [], takes: "nothing", example: "right" },
  { word: "muscle", also: [], takes: "nothing", example: "pain 6 muscle" },
  { word: "elsewhere", also: [], takes: "nothing", example: "pain 4 elsewhere" },
];

/** What a number's unit makes of it; a number without one is repetitions, or what the exercise counts instead. */
export const quickUnits = {
  kg: "loadKg",
  n: "forceN",
  s: "holdSeconds",
  c: "contacts",
  min: "minutes",
} as const;
export type QuickUnit = keyof typeof quickUnits;

export const quickLimits = limitKinds;
export const quickPhases = faultPhases;
