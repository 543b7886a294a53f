import type { Criterion, Gate } from "~/core/gate/gate";
import type { Source } from "~/core/schema/source";
import { measureByCode } from "../measures/all";
import { commonPractice, recalled } from "../source";

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

/** The two sides within so many per cent of each other, whichever is the better one. */
export const within = (code: string, threshold: number, about: About = {}): Criterion => ({
  kind: "symmetry",
  ...common(code, "symmetry", about),
  name: about.name ?? `${measureByCode(code).name}, both sides alike`,
  comparison: ">=",
  threshold,
  twoSided: true,
});

/** The two sides at most so much apart, in the measure's unit. */
export const apart = (code: string, threshold: number, about: About = {}): Criterion => ({
  kind: "difference",
  ...common(code, "difference", about),
  name: about.name ?? `${measureByCode(code).name}, difference of the sides`,
  comparison: "<=",
  threshold,
});

/** A score that has risen by at least so much since it was first taken. */
export const risen = (code: string, threshold: number, about: About = {}): Criterion => ({
  kind: "change",
  ...common(code, "change", about),
  name: about.name ?? `${measureByCode(code).name}, change since the first`,
  comparison: ">=",
  threshold,
});

/** Chair stands, not below the band of age and norm group. */
export const chairStands = (about: About = {}): Criterion => ({
  kind: "chair-stand",
  ...common("chair-stand-30s", "band", { source: recalled("CDC STEADI"), ...about }),
  name: about.name ?? "Chair stands in 30 s, not below the band of age",
});

/** The composite of the three reaches, per cent of the leg's length. */
export const reachComposite = (threshold: number, about: About = {}): Criterion => {
  const { measure: front, ...shared } = common("reach-front", "composite", about);
  return {
    kind: "reach-composite",
    ...shared,
    front,
    backInside: "reach-back-inside",
    backOutside: "reach-back-outside",
    legLength: "leg-length",
    name: about.name ?? "Reach, composite of three directions",
    comparison: ">=",
    threshold,
  };
};

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
