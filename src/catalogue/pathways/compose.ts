import type { Gate } from "~/core/gate/gate";
import type { Stage } from "~/core/pathway/pathway";
import { suits } from "~/core/progression/stage-need";
import type { Restriction } from "~/core/limit/restriction";
import { startingExercises } from "../exercises/all";
import { stageNeeds } from "../stage-needs/all";

type About = Pick<Stage, "name" | "aim" | "expect"> & {
  readonly school?: Stage["school"];
  readonly caution?: string;
  readonly limits?: readonly Restriction[];
  readonly gate?: Gate;
  readonly beforeSurgery?: boolean;
};

/**
 * A stage whose lanes, phases and limits come from the stage needs: for each lane the exercises with a variant that suits
 * it, and the rule that work stays within the lane's phases.
 */
export function stage(pathway: string, code: string, about: About): Stage {
  const need = stageNeeds.find((entry) => entry.pathway === pathway && entry.stage === code);
  if (!need) throw new RangeError(`the stage needs have no ${pathway}, ${code}`);
  const phases: Restriction = {
    kind: "phases",
    lanes: need.lanes,
    origin: "stage",
    says: "this belongs to a later stage",
  };
  const { name, aim, expect, caution, gate, beforeSurgery, limits = [] } = about;
  return {
    code,
    name,
    aim,
    expect,
    school: about.school ?? "monitored",
    lanes: need.lanes.map(({ lane }) => ({
      lane,
      exercises: startingExercises
        .filter((exercise) => exercise.variants.some((variant) => suits(exercise, variant, need, lane)))
        .map((exercise) => exercise.id),
    })),
    limits: [...need.limits, ...limits, phases],
    ...(caution === undefined ? {} : { caution }),
    ...(beforeSurgery === undefined ? {} : { beforeSurgery }),
    ...(gate === undefined ? {} : { gate }),
  };
}
