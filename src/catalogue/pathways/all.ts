import type { Pathway } from "~/core/pathway/pathway";
import { backAndGeneralPathways } from "./back-and-general";
import { groinPathway } from "./groin";
import { kneePathways } from "./knee";
import { thighAndHipPathways } from "./thigh-and-hip";

/** The pathways a new clinic starts with. Thresholds are defaults that a clinic may change. */
export const startingPathways: readonly Pathway[] = [
  groinPathway,
  ...thighAndHipPathways,
  ...kneePathways,
  ...backAndGeneralPathways,
];

/** The starting pathway with this code. @throws RangeError when there is none */
export function pathwayByCode(code: string): Pathway {
  const found = startingPathways.find((pathway) => pathway.code === code);
  if (!found) throw new RangeError(`there is no pathway ${code}`);
  return found;
}
