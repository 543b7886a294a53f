import type { faultPhases, FaultRecord, limitKinds, SetRecord } from "~/core/response/session-record";

/** One or several alike sets as written: nothing filled in that was not said. */
export interface QuickSet {
  /** How many alike sets it stands for. */
  readonly count: number;
  readonly reps?: number;
  readonly holdSeconds?: number;
  readonly contacts?: number;
  readonly minutes?: number;
  readonly loadKg?: number;
  readonly forceN?: number;
  readonly pain?: number;
  /** What the pain came with, and the angle at which it began and ended. */
  readonly painWith?: NonNullable<SetRecord["painWith"]>;
  readonly painFromDeg?: number;
  readonly painToDeg?: number;
  readonly site?: Exclude<SetRecord["painSite"], "episode">;
  readonly effort?: number;
  readonly confidence?: number;
  readonly faults: readonly QuickFault[];
  readonly limit?: (typeof limitKinds)[number];
  readonly pinchGrade?: number;
}

export interface QuickFault {
  readonly fault: string;
  readonly severity: FaultRecord["severity"];
  readonly reps: FaultRecord["reps"];
  readonly phase?: (typeof faultPhases)[number];
}

/** The sets of one side, or of no side in particular. */
export interface QuickPart {
  readonly side: "left" | "right" | null;
  readonly sets: readonly QuickSet[];
}

/** What can be wrong with a quick line, and what each problem says of it; its words in the message file use just these. */
export const quickProblemValues = {
  unexpected: ["text"],
  "unknown-word": ["text"],
  "number-needed": ["text"],
  "out-of-range": ["field", "low", "high"],
  twice: ["text"],
  "side-twice": [],
  before: [],
  "too-many-sets": ["most"],
  "empty-set": [],
  "fault-needed": ["text"],
  "fault-unknown": ["text", "names"],
  "fault-ambiguous": ["text", "names"],
  "fault-count": ["fault"],
  "limit-unknown": ["text"],
  "pinch-grade": [],
  "arc-backward": ["from", "to"],
  "item-unknown": ["text"],
  "item-ambiguous": ["text", "names"],
  "not-counted": ["field", "exercise"],
  "work-missing": ["field"],
  "pain-missing": [],
  "effort-missing": [],
  "side-shared": [],
  "side-needed": [],
} as const satisfies Record<string, readonly string[]>;

export type QuickProblemCode = keyof typeof quickProblemValues;
/** The values that a problem of this code carries: every one of them, so that its sentence can always be made. */
export type QuickValues<C extends QuickProblemCode = QuickProblemCode> = Readonly<
  Record<(typeof quickProblemValues)[C][number], string | number>
>;

/** What went wrong at which character. The words stand in the message file. */
export interface QuickProblem<C extends QuickProblemCode = QuickProblemCode> {
  readonly code: C;
  /** Place in the text, from 0; at its end for something missing. */
  readonly at: number;
  readonly length: number;
  readonly values: Readonly<Record<string, string | number>>;
}

/** Makes a problem; the code decides which values must be given. */
export function quickProblem<C extends QuickProblemCode>(
  code: C,
  { at, length }: QuickPlace,
  values: QuickValues<C>,
): QuickProblem {
  return { code, at, length, values };
}

export interface QuickPlace {
  readonly at: number;
  readonly length: number;
}

/** Where a set stands in the text, and where the words of its faults do. */
export interface QuickSetPlace extends QuickPlace {
  readonly faults: readonly QuickPlace[];
}

/** A quick line as parsed: the exercise it names, its parts, and everything that was not understood. */
export interface QuickLine {
  /** Pain at the site before the session, where the line begins with it. */
  readonly painBefore: number | null;
  readonly item: { readonly text: string; readonly at: number } | null;
  readonly parts: readonly QuickPart[];
  /** For each part, where each of its sets begins in the text and how long it is. */
  readonly places: readonly (readonly QuickSetPlace[])[];
  readonly problems: readonly QuickProblem[];
}
