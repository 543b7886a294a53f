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

/** What went wrong at which character. The words stand in the message file. */
export interface QuickProblem {
  readonly code: QuickProblemCode;
  /** Place in the text, from 0; at its end for something missing. */
  readonly at: number;
  readonly length: number;
  readonly values: Readonly<Record<string, string | number>>;
}

export const quickProblemCodes = [
  "unexpected",
  "unknown-word",
  "number-needed",
  "out-of-range",
  "twice",
  "side-twice",
  "too-many-sets",
  "empty-set",
  "fault-unknown",
  "fault-ambiguous",
  "fault-count",
  "limit-unknown",
  "pinch-grade",
  "item-unknown",
  "item-ambiguous",
  "not-counted",
  "work-missing",
  "pain-missing",
  "effort-missing",
  "side-shared",
  "side-needed",
] as const;
export type QuickProblemCode = (typeof quickProblemCodes)[number];

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
  readonly item: { readonly text: string; readonly at: number } | null;
  readonly parts: readonly QuickPart[];
  /** For each part, where each of its sets begins in the text and how long it is. */
  readonly places: readonly (readonly QuickSetPlace[])[];
  readonly problems: readonly QuickProblem[];
}
