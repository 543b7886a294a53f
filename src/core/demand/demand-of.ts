import type { Exercise, Variant } from "~/core/exercise/exercise";
import type { Prescription } from "~/core/exercise/prescription";
import type { Asks } from "~/core/exercise/asks";
import { asksOf } from "./asks-of";
import type { Side } from "./contacts";
import { type Demand, type LegDemand, type Spring } from "./demand";
import type { DegreeSpan, DrawnDemand, DrawnLeg } from "./drawn-demand";

export interface DemandOfInput {
  readonly exercise: Exercise;
  readonly variant: Variant;
  readonly prescription: Prescription;
  /** The movement as it is drawn for this body with these settings. */
  readonly drawn: DrawnDemand;
  /** Kilograms; an adult of middle build of the height where nobody weighed them. */
  readonly massKg: number;
}

const machines = [
  "leg-press",
  "knee-extension-machine",
  "leg-curl-machine",
  "calf-machine",
  "cable",
] as const;
const handsOf: Readonly<Record<string, Demand["hands"]>> = {
  "two-hands": "two",
  "one-hand": "one",
  fingertips: "fingertips",
  none: "none",
};
/** A knob that names an angle is drawn at it within this; the angle it names is what counts. */
const namedWithinDeg = 2;

/**
 * What a prescription asks of this body.
 *
 * Where the weight goes: the drawn share of body and load for what stands, kneels or lifts its hips; a machine's load, divided by
 * the legs that push; a weight on the thighs of somebody sitting, by the legs that raise it; springs at least twice the body on
 * one leg and once on each of two.
 *
 * @returns the demand; angles in degrees, shares of body mass
 * Source: statics of the drawn contacts; springs common practice.
 */
export function demandOf({ exercise, variant, prescription, drawn, massKg }: DemandOfInput): Demand {
  const asks = asksOf(exercise, variant);
  const { settings, dose } = prescription;
  const is = (knob: string, ...values: string[]) => values.includes(String(settings[knob]));
  const spring = springOf(asks, drawn, is);
  const bothWork = worksBoth(exercise, asks, settings);
  const external = isExternal(asks, variant, prescription);
  const resisted = asks.resisted ?? [];
  const load = (dose.loadKg ?? 0) / massKg;
  const held = is("assistance", "strong");

  const leg = (side: Side): LegDemand => {
    const works = side === "w" || bothWork || asks.bothLegs === true;
    const weightShare = Math.max(
      carried(side, drawn, load),
      pushed(side, asks, load, bothWork),
      raised(side, drawn, load, bothWork, is),
      sprung(side, spring, is),
    );
    const turns = asks.inTurn === true && drawn.legs[side].stand !== "none";
    return {
      ...angles(drawn.legs[side], side === "w" || bothWork ? settings : {}),
      weightShare: turns ? Math.max(weightShare, 1 + load) : weightShare,
      loaded: weightShare > 0 || (works && resisted.length > 0 && external),
      stand: turns ? "alone" : standOf(side, drawn, asks, bothWork, weightShare),
    };
  };
  return {
    working: leg("w"),
    other: leg("o"),
    bothWork,
    spineFlexionDeg: [...drawn.spineFlexionDeg],
    spring,
    running: asks.running === true,
    resisted: [...resisted],
    against: external ? "external" : "own-weight",
    lengthened: [...(asks.lengthened ?? [])],
    stretched: [...(asks.stretched ?? [])],
    straightLegRaise:
      !held && !asks.stretched && (drawn.legs.w.raisedStraight || (bothWork && drawn.legs.o.raisedStraight)),
    kneeling: drawn.kneeling,
    floor: drawn.floor,
    positions: [...drawn.lies],
    base: asks.inTurn && drawn.base !== "none" ? "one-foot" : drawn.base,
    hands: handsOf[String(settings["support"])] ?? heldBy(drawn),
    eyesClosed: is("vision", "closed"),
    softSurface: is("surface", "soft", "unstable"),
    secondTask: is("attention", "second-task"),
  };
}

/** Hands that hold on while somebody stands; those of a plank carry, and hold on to nothing. */
function heldBy({ base, holdingHands }: DrawnDemand): Demand["hands"] {
  return base === "none" ? "none" : (["none", "one", "two"] as const)[holdingHands];
}

type Is = (knob: string, ...values: string[]) => boolean;

/** Both legs work alike in one set, or the drawing shows one half of a cycle in which they change. */
function worksBoth({ sides }: Exercise, { inTurn }: Asks, { laterality }: Prescription["settings"]): boolean {
  if (inTurn || laterality === "both") return true;
  return laterality === undefined && sides === "both-together";
}

function springOf({ spring, running }: Asks, { landsOn }: DrawnDemand, is: Is): Spring {
  if (spring === "cutting") return "cutting";
  if (running) return "single-leg-landing";
  if (!is("contraction", "plyometric")) return "none";
  const single = is("laterality", "single") || landsOn === 1;
  if (single) return "single-leg-landing";
  return spring === "rebound" ? "rebound" : "two-leg-landing";
}

/** What the drawn contacts give this leg: of the body, and of a load that hangs with it. */
function carried(side: Side, { legs, lies }: DrawnDemand, load: number): number {
  const { bodyShare, hipLoadShare } = legs[side];
  if (bodyShare <= 0) return 0;
  const lifted = lies.every((lie) => lie === "supine") ? hipLoadShare : bodyShare;
  return bodyShare + lifted * load;
}

/** A machine pushed away: its load by the legs that push. */
function pushed(side: Side, { pushes }: Asks, load: number, bothWork: boolean): number {
  if (!pushes) return 0;
  if (bothWork) return load / 2;
  return side === "w" ? load : 0;
}

/** A weight on the thighs of somebody sitting, raised by the calves. */
function raised(side: Side, { lies }: DrawnDemand, load: number, bothWork: boolean, is: Is): number {
  if (!is("load-place", "thighs") || !lies.includes("sitting")) return 0;
  if (bothWork || is("laterality", "both")) return load / 2;
  return side === "w" ? load : 0;
}

/** At least twice the body on one leg, once on each of two (common practice). */
function sprung(side: Side, spring: Spring, is: Is): number {
  if (spring === "none") return 0;
  if (spring === "rebound" || spring === "two-leg-landing") return 1;
  return is("laterality", "single") && side === "o" ? 0 : 2;
}

/** A leg that pushes a machine or a bridge stands too, with the other or alone. */
function standOf(
  side: Side,
  { legs, lies }: DrawnDemand,
  { pushes }: Asks,
  bothWork: boolean,
  weightShare: number,
): LegDemand["stand"] {
  const other = side === "w" ? "o" : "w";
  if (legs[side].stand !== "none") return legs[side].stand;
  if (weightShare <= 0) return "none";
  if (pushes) return bothWork ? "shared" : "alone";
  return lies.includes("supine") && legs[other].bodyShare <= 0 ? "alone" : "shared";
}

function isExternal({ against }: Asks, { kit }: Variant, { dose, settings }: Prescription): boolean {
  return (
    against === "external" ||
    (dose.loadKg ?? 0) > 0 ||
    dose.bandN !== undefined ||
    String(settings["perturbation"] ?? "none").startsWith("band") ||
    machines.some((machine) => kit.includes(machine))
  );
}

type Angles = Pick<
  LegDemand,
  "kneeFlexionDeg" | "hipFlexionDeg" | "hipAbductionDeg" | "hipOutwardRotationDeg" | "ankleDorsiflexionDeg"
>;

/** The drawn angles, with the angle a knob names in place of the drawn one that stands for it. */
function angles({ angles: drawn }: DrawnLeg, settings: Prescription["settings"]): Angles {
  return {
    kneeFlexionDeg: namedArc(named(drawn.knee, settings["knee-angle"]), settings["arc"]),
    hipFlexionDeg: named(drawn.hip, settings["hip-angle"]),
    hipAbductionDeg: [...drawn.abduction],
    hipOutwardRotationDeg: [...drawn.rotation],
    ankleDorsiflexionDeg: [...drawn.ankle],
  };
}

function named([least, most]: DegreeSpan, angle: unknown): [number, number] {
  if (typeof angle !== "number") return [least, most];
  const judged = (end: number) => (Math.abs(end - angle) <= namedWithinDeg ? angle : end);
  return [judged(least), judged(most)];
}

function namedArc(drawn: [number, number], arc: unknown): [number, number] {
  if (typeof arc !== "string") return drawn;
  const [from = NaN, to = from] = arc.split("-").map(Number);
  return Number.isFinite(from) && Number.isFinite(to) ? [from, to] : drawn;
}
