import type { Criterion, Gate } from "~/core/gate/gate";
import type { Source } from "~/core/schema/source";
import { measureByCode } from "../measures/all";
import { commonPractice } from "../source";

const freshDays = 14;

interface About {
  readonly name?: string;
  readonly source?: Source;
  readonly required?: boolean;
  readonly maxAgeDays?: number;
}

const common = (code: string, suffix: string, { source, required, maxAgeDays }: About) => ({
  id: `${code}-${suffix}`,
  measure: code,
  required: required ?? true,
  maxAgeDays: maxAgeDays ?? freshDays,
  source: source ?? commonPractice,
});

/** Limb symmetry index of a measure at least so many per cent. */
export const symmetry = (code: string, threshold: number, about: About = {}): Criterion => ({
  kind: "symmetry",
  ...common(code, "symmetry", about),
  name: about.name ?? `${measureByCode(code).name}, against the other side`,
  comparison: ">=",
  threshold,
});

/** A measure of the involved side, or of the person, at least so much. */
export const atLeast = (code: string, threshold: number, about: About = {}): Criterion => ({
  kind: "value",
  ...common(code, "value", about),
  name: about.name ?? measureByCode(code).name,
  comparison: ">=",
  threshold,
});

/** The same, at most so much. */
export const atMost = (code: string, threshold: number, about: About = {}): Criterion => ({
  kind: "value",
  ...common(code, "value", about),
  name: about.name ?? measureByCode(code).name,
  comparison: "<=",
  threshold,
});

/** A gate with its minimum days since onset or operation, and in the stage. */
export const gate = (sinceOnset: number, inStage: number, ...criteria: Criterion[]): Gate => ({
  minimumDaysSinceOnset: sinceOnset,
  minimumDaysInStage: inStage,
  criteria,
});

/** Optional: it informs and never closes the gate. */
export const optional = (criterion: Criterion): Criterion => ({ ...criterion, required: false });

export const weeks = (count: number) => count * 7;
