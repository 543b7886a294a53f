import { labelBook } from "~/core/demand/label-book";
import { Type, type Static } from "@sinclair/typebox";
import { Lane, Phase } from "~/core/exercise/body";
import { firstPrescription, type Exercise, type Variant } from "~/core/exercise/exercise";
import { obstacleUnder } from "~/core/limit/obstacle";
import { Restriction } from "~/core/limit/restriction";
import { Source } from "~/core/schema/source";

/** What a stage of a pathway must train: lanes, the phases of work it allows in each, and its own limits. */
export const StageNeed = Type.Object(
  {
    pathway: Type.String({ minLength: 1, maxLength: 60 }),
    stage: Type.String({ minLength: 1, maxLength: 40 }),
    lanes: Type.Array(
      Type.Object(
        { lane: Lane, phases: Type.Array(Phase, { minItems: 1 }) },
        { additionalProperties: false },
      ),
      { minItems: 1 },
    ),
    limits: Type.Array(Restriction),
    source: Source,
  },
  { additionalProperties: false },
);
export type StageNeed = Static<typeof StageNeed>;

/** A day on which limits without dates are asked about; stage limits carry none. */
const anyDay = "2000-01-01";

/**
 * Whether a variant may serve one lane of a stage: it trains the lane, its phase is allowed there, and no limit of
 * the stage, of the kit at hand or of the person forbids its first setting.
 *
 * @param also further limits, such as the kit of a home
 */
export function suits(
  exercise: Exercise,
  variant: Variant,
  need: StageNeed,
  lane: Lane,
  also: readonly Restriction[] = [],
): boolean {
  return suitsUnder(need, also)(exercise, variant, lane);
}

/** Tells of many variants whether they suit one stage: see `suits`. */
export function suitsUnder(
  need: StageNeed,
  also: readonly Restriction[] = [],
): (exercise: Exercise, variant: Variant, lane: Lane) => boolean {
  const obstacle = obstacleUnder([...need.limits, ...also], anyDay, labelBook);
  return (exercise, variant, lane) => {
    const entry = need.lanes.find((candidate) => candidate.lane === lane);
    if (!entry || exercise.lane !== lane || variant.phase === undefined) return false;
    if (!entry.phases.includes(variant.phase)) return false;
    return obstacle(firstPrescription(variant), variant, exercise) === null;
  };
}
