import { springs, type Demand, type LegDemand } from "~/core/demand/demand";
import { balanceLevels, type Predicate, type PredicateOf } from "./limit";

/** What is asked, of whom, and which leg is the one that limits are about. */
export interface LimitedWork {
  readonly demand: Demand;
  /** Which leg of the drawing the involved one is: it works, it is the other, or it does both in turn. */
  readonly involved: "working" | "other" | "both";
  /** Kit the work needs, its load's included. */
  readonly kit: readonly string[];
}

/** Words of what a demand asks beyond a limit; null when it keeps it. */
type Check<K extends Predicate["kind"]> = (limit: PredicateOf<K>, work: LimitedWork) => string | null;

/** A drawing is as exact as this, degrees; angles seen from the front, of rotation and of the spine less. */
const tolerance = { knee: 1, hip: 1, ankle: 1, "hip-rotation": 8, "hip-abduction": 8, spine: 8 } as const;
/** Shares of body mass closer than this are the same. */
const sameShare = 0.005;

const checks: { readonly [K in Predicate["kind"]]: Check<K> } = {
  range: (limit, work) => {
    const { joint, when, leastDeg = -Infinity, mostDeg = Infinity } = limit;
    if (joint === "spine") return outside(work.demand.spineFlexionDeg, leastDeg, mostDeg, joint);
    const legs = limit.leg === "both" ? [work.demand.working, work.demand.other] : involvedLegs(work);
    const judged = legs.filter(({ loaded }) => when === "any" || loaded);
    return first(judged, (leg) => outside(arcOf(leg, joint), leastDeg, mostDeg, joint));
  },
  weight: ({ mostShare }, work) =>
    first(involvedLegs(work), ({ weightShare }) =>
      weightShare > mostShare + sameShare ? `${percent(weightShare)} of body weight on the leg` : null,
    ),
  legs: ({ most }, work) =>
    most === "one"
      ? null
      : first(involvedLegs(work), ({ stand }) =>
          stand === "alone" ? "the leg alone" : stand === "staggered" ? "one leg ahead of the other" : null,
        ),
  spring: ({ most }, { demand: { spring } }) =>
    springs.indexOf(spring) > springs.indexOf(most) ? spring.replaceAll("-", " ") : null,
  running: (_limit, { demand }) => (demand.running ? "running" : null),
  resisted: ({ muscle, most }, work) => {
    if (!workedLegIsInvolved(work) || !work.demand.resisted.includes(muscle)) return null;
    if (most === "own-weight" && work.demand.against === "own-weight") return null;
    return `${spoken(muscle)} against resistance`;
  },
  lengthened: ({ muscle }, work) =>
    workedLegIsInvolved(work) && work.demand.lengthened.includes(muscle)
      ? `${spoken(muscle)} made long under load`
      : null,
  stretched: ({ muscle }, work) =>
    workedLegIsInvolved(work) && work.demand.stretched.includes(muscle)
      ? `${spoken(muscle)} stretched`
      : null,
  "straight-leg-raise": (_limit, work) =>
    workedLegIsInvolved(work) && work.demand.straightLegRaise ? "the straight leg raised" : null,
  kneeling: (_limit, { demand }) => (demand.kneeling ? "kneeling" : null),
  floor: (_limit, { demand }) => (demand.floor ? "getting down to the floor" : null),
  position: ({ cannot }, { demand }) => {
    const taken = demand.positions.find((position) => cannot.includes(position));
    if (taken) return spoken(taken);
    return cannot.includes("kneeling") && demand.kneeling ? "kneeling" : null;
  },
  balance: ({ most }, { demand }) => {
    const asked = balanceAsked(demand);
    if (asked === null || balanceLevels.indexOf(asked) <= balanceLevels.indexOf(most)) return null;
    return asked === "free" ? "standing without a hand" : spoken(asked);
  },
  kit: ({ available }, { kit }) => {
    const missing = kit.find((piece) => !available.includes(piece));
    return missing === undefined ? null : spoken(missing);
  },
};

/**
 * What a piece of work asks beyond a limit, in words; null when it keeps it.
 *
 * Ranges tolerate what a drawing cannot show: 1°, and 8° in abduction, rotation and the spine.
 */
export function brokenBy(limit: Predicate, work: LimitedWork): string | null {
  return (checks[limit.kind] as Check<typeof limit.kind>)(limit as never, work);
}

function involvedLegs({ demand, involved }: LimitedWork): LegDemand[] {
  const { working, other, bothWork } = demand;
  if (involved === "both" || bothWork) return [working, other];
  return [involved === "working" ? working : other];
}

/** What is said of muscles is said of the leg that works. */
const workedLegIsInvolved = ({ demand, involved }: LimitedWork) => involved !== "other" || demand.bothWork;

function arcOf(leg: LegDemand, joint: "knee" | "hip" | "hip-rotation" | "hip-abduction" | "ankle") {
  return {
    knee: leg.kneeFlexionDeg,
    hip: leg.hipFlexionDeg,
    "hip-rotation": leg.hipOutwardRotationDeg,
    "hip-abduction": leg.hipAbductionDeg,
    ankle: leg.ankleDorsiflexionDeg,
  }[joint];
}

function outside(
  [from, to]: readonly [number, number],
  leastDeg: number,
  mostDeg: number,
  joint: keyof typeof tolerance,
): string | null {
  const within = tolerance[joint];
  if (to > mostDeg + within) return `${spoken(joint)} ${Math.round(to)}°`;
  return from < leastDeg - within ? `${spoken(joint)} ${Math.round(from)}°` : null;
}

/** The hardest level of balance that standing work asks; null lying, sitting and on hands and knees. */
function balanceAsked(demand: Demand): (typeof balanceLevels)[number] | null {
  if (demand.base === "none") return null;
  if (demand.secondTask) return "second-task";
  if (demand.softSurface) return "soft";
  if (demand.eyesClosed) return "eyes-closed";
  return ({ none: "free", fingertips: "fingertips", one: "hands", two: "hands" } as const)[demand.hands];
}

function first<T>(all: readonly T[], words: (one: T) => string | null): string | null {
  for (const one of all) {
    const said = words(one);
    if (said !== null) return said;
  }
  return null;
}

const percent = (share: number) => `${Math.round(share * 100)} %`;
const spoken = (code: string) => code.replaceAll("-", " ");
