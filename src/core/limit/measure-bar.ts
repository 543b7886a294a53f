import type { Demand, LegDemand } from "~/core/demand/demand";
import type { Measure, MeasureAsks } from "~/core/measure/measure";
import { brokenBy } from "./broken-by";
import { predicatesOf } from "./predicates-of";
import { inForce, type Restriction } from "./restriction";

const still: readonly [number, number] = [0, 0];

/** What a test asks, as a demand: somebody who lies still, but for what the measure says. */
function demandOfTest(asks: MeasureAsks): Demand {
  const weight = { none: 0, shared: 0.5, alone: 1 } as const;
  const stand = asks.stand ?? "none";
  const leg: LegDemand = {
    kneeFlexionDeg: [...(asks.kneeDeg ?? still)],
    hipFlexionDeg: [...(asks.hipDeg ?? still)],
    hipAbductionDeg: [...still],
    hipOutwardRotationDeg: [...still],
    ankleDorsiflexionDeg: [...still],
    loaded: stand !== "none" || (asks.resisted ?? []).length > 0,
    weightShare: asks.spring === undefined ? weight[stand] : 2,
    stand,
  };
  return {
    working: leg,
    other: leg,
    bothWork: true,
    spineFlexionDeg: [...still],
    spring: asks.spring ?? "none",
    running: asks.running ?? false,
    resisted: asks.resisted ?? [],
    against: "external",
    lengthened: asks.lengthened ?? [],
    stretched: asks.stretched ?? [],
    straightLegRaise: asks.straightLegRaise ?? false,
    kneeling: false,
    floor: asks.floor ?? false,
    positions: [],
    base: stand === "alone" ? "one-foot" : stand === "shared" ? "both-feet" : "none",
    hands: "none",
    eyesClosed: asks.eyesClosed ?? false,
    softSurface: false,
    secondTask: false,
  };
}

/**
 * The limit in force that forbids to take a measure, or null: a test is an exercise too. Limits of a plan's own words (phases,
 * variants, kit) say nothing of tests.
 *
 * @param today local date (YYYY-MM-DD)
 */
export function barToMeasure(
  { asks }: Pick<Measure, "asks">,
  restrictions: readonly Restriction[],
  today: string,
): Restriction | null {
  if (!asks) return null;
  const demand = demandOfTest(asks);
  const isBroken = (limit: Restriction) =>
    (limit.kind === "forbid" && limit.codes.some((code) => asks.forbiddenBy?.includes(code))) ||
    (limit.kind !== "kit" &&
      predicatesOf(limit).some((ask) => brokenBy(ask, { demand, involved: "both", kit: [] }) !== null));
  return restrictions.find((limit) => inForce(limit, today) && isBroken(limit)) ?? null;
}
