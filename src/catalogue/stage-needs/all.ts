import type { StageNeed } from "~/core/progression/stage-need";
import type { Lane } from "~/core/exercise/body";
import { backAndGeneralNeeds } from "./back-and-general";
import { hipAndThighNeeds } from "./hip-and-thigh";
import { kneeAndAnkleNeeds } from "./knee-and-ankle";

/** Which lanes every stage of every pathway must train. Pathways refer to these. Common practice. */
export const stageNeeds: readonly StageNeed[] = [
  ...hipAndThighNeeds,
  ...kneeAndAnkleNeeds,
  ...backAndGeneralNeeds,
];

/** Where the catalogue has fewer suitable variants than a clinician would want, and why that is right. */
export interface Gap {
  readonly pathway: string;
  readonly stage: string;
  readonly lane: Lane;
  readonly where: "home" | "gym";
  readonly reason: string;
}

export const gaps: readonly Gap[] = [];
