import type { Gate } from "~/core/gate/gate";
import type { Lane } from "~/core/exercise/body";
import type { Stage } from "~/core/pathway/pathway";
import { suits } from "~/core/progression/stage-need";
import type { Restriction } from "~/core/limit/restriction";
import { startingExercises } from "../exercises/all";
import { stageNeeds } from "../stage-needs/all";
import { firsts } from "../stage-needs/first";

type About = Pick<Stage, "name" | "aim" | "expect"> & {
  readonly school?: Stage["school"];
  readonly caution?: string;
  readonly limits?: readonly Restriction[];
  readonly gate?: Gate;
  readonly beforeSurgery?: boolean;
};

const needOf = (pathway: string, code: string) => {
  const need = stageNeeds.find((entry) => entry.pathway === pathway && entry.stage === code);
  if (!need) throw new RangeError(`the stage needs have no ${pathway}, ${code}`);
  return need;
};

/** What a stage needs most of a lane, where something is said of it. */
export function firstOf(pathway: string, code: string, lane: Lane): { first?: string[] } {
  const first = firsts[`${pathway} ${code}`]?.[lane];
  return first ? { first: [...first] } : {};
}

/** What a stage limits by its need: its own limits, and the phases its lanes stay within. */
export function limitsByNeed(pathway: string, code: string): Restriction[] {
  const need = needOf(pathway, code);
  const phases: Restriction = {
    kind: "phases",
    lanes: need.lanes,
    origin: "stage",
    says: "this belongs to a later stage",
  };
  return [...need.limits, phases];
}

/**
 * A stage whose lanes, phases and limits come from the stage needs: for each lane the exercises with a variant that suits
 * it, and the rule that work stays within the lane's phases.
 */
export function stage(pathway: string, code: string, about: About): Stage {
  const need = needOf(pathway, code);
  const { name, aim, expect, caution, gate, beforeSurgery, limits = [] } = about;
  return {
    code,
    name,
    aim,
    expect,
    school: about.school ?? "monitored",
    lanes: need.lanes.map(({ lane }) => ({
      lane,
      ...firstOf(pathway, code, lane),
      exercises: startingExercises
        .filter((exercise) => exercise.variants.some((variant) => suits(exercise, variant, need, lane)))
        .map((exercise) => exercise.id),
    })),
    limits: [...limitsByNeed(pathway, code), ...limits],
    ...(caution === undefined ? {} : { caution }),
    ...(beforeSurgery === undefined ? {} : { beforeSurgery }),
    ...(gate === undefined ? {} : { gate }),
  };
}
