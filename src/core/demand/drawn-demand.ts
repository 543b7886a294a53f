import type { Figure } from "~/core/figure/figure";
import type { LegAngles } from "~/core/pose/joint-angles";
import type { Body } from "~/core/pose/body";
import type { BodyLengths } from "~/core/pose/body-lengths";
import { dot } from "~/core/pose/space";
import { bothSides, contactsOf, type Contacts, type Side } from "./contacts";
import { drawnMovement, type Moment } from "./drawn-movement";
import { legWeight, type LegShares } from "./leg-weight";

/** Least and most of an angle over a movement, degrees. */
export type DegreeSpan = readonly [number, number];

/** How a leg stands at its hardest moment: not at all, with the other beside it, one ahead of the other, or alone. */
export const stands = ["none", "shared", "staggered", "alone"] as const;
export type Stand = (typeof stands)[number];

export interface DrawnLeg {
  readonly angles: Readonly<Record<keyof LegAngles, DegreeSpan>>;
  /** The most it carries of the body's own weight, 0 to 1. */
  readonly bodyShare: number;
  /** The most it carries of a load at the hips, 0 to 1. */
  readonly hipLoadShare: number;
  readonly stand: Stand;
  /** Raised straight in the air by the hip flexors. */
  readonly raisedStraight: boolean;
}

/** What a drawn movement asks of a body, whatever is held in the hands and however often it is done. */
export interface DrawnDemand {
  readonly legs: Readonly<Record<Side, DrawnLeg>>;
  readonly spineFlexionDeg: DegreeSpan;
  readonly kneeling: boolean;
  readonly floor: boolean;
  readonly base: "none" | "both-feet" | "staggered" | "one-foot";
  /** Hands that hold on to something of the room. */
  readonly holdingHands: 0 | 1 | 2;
  /** The parts it lies on, sits on, or kneels on. */
  readonly lies: readonly (
    | "supine"
    | "prone"
    | "side-lying"
    | "sitting"
    | "kneeling"
    | "hands-and-knees"
    | "standing"
  )[];
  /** On how many feet it comes down after having left the ground; 0 when it never does. */
  readonly landsOn: 0 | 1 | 2;
}

export type DrawnDemandOrWhy =
  | { readonly ok: true; readonly demand: DrawnDemand }
  | { readonly ok: false; readonly why: string };

/** Feet farther apart than this share of the height, one ahead of the other, are a staggered stance. */
const staggeredApart = 0.075;
const straightKneeDeg = 15;
const raisedHipDeg = 10;

/**
 * Reads what a movement asks from its drawing: the arc of every joint of both legs, what each leg carries, what lies on the
 * ground, and how the body is held up.
 */
export function drawnDemand(lengths: BodyLengths, figure: Figure): DrawnDemandOrWhy {
  const drawn = drawnMovement(lengths, figure);
  if (!drawn.ok) return drawn;
  const looks = drawn.moments.map((moment) => lookAt(lengths, figure, moment));
  const leg = (side: Side): DrawnLeg => ({
    angles: {
      hip: span(looks, ({ body }) => body.angles[side].hip),
      abduction: span(looks, ({ body }) => body.angles[side].abduction),
      rotation: span(looks, ({ body }) => body.angles[side].rotation),
      knee: span(looks, ({ body }) => body.angles[side].knee),
      ankle: span(looks, ({ body }) => body.angles[side].ankle),
    },
    bodyShare: Math.max(...looks.map(({ share }) => share[side])),
    hipLoadShare: Math.max(...looks.map(({ hipLoad }) => hipLoad[side])),
    stand: hardest(looks.map((look) => look.stand[side])),
    raisedStraight: looks.some(({ raised }) => raised[side]),
  });
  const holding = looks.map(({ hands }) => hands);
  return {
    ok: true,
    demand: {
      legs: { w: leg("w"), o: leg("o") },
      spineFlexionDeg: span(looks, ({ body }) => spineFlexion(body)),
      kneeling: looks.some(({ kneels }) => kneels),
      floor: looks.some(({ contacts }) => contacts.floor),
      base: baseOf(looks),
      holdingHands: Math.min(...holding) as 0 | 1 | 2,
      lies: [...new Set(looks.map(({ lie }) => lie))],
      landsOn: landing(looks),
    },
  };
}

interface Look {
  readonly place: number;
  readonly body: Body;
  readonly contacts: Contacts;
  readonly share: LegShares;
  readonly hipLoad: LegShares;
  readonly stand: Readonly<Record<Side, Stand>>;
  readonly raised: Readonly<Record<Side, boolean>>;
  readonly kneels: boolean;
  readonly hands: number;
  readonly lie: DrawnDemand["lies"][number];
}

function lookAt(lengths: BodyLengths, figure: Figure, moment: Moment): Look {
  const { body, place, pose } = moment;
  const contacts = contactsOf(lengths, figure, moment);
  const upright = pose.lie === "upright";
  // Strapped to a frame, as on a bench for the back: nothing that is drawn carries, and the legs hold the body.
  const strapped =
    upright &&
    figure.timing.kind !== "sequence" &&
    !contacts.seat &&
    !contacts.arms &&
    !bothSides.some((side) => contacts.feet[side] ?? contacts.knees[side]);
  const share = strapped ? { w: 0.5, o: 0.5 } : legWeight(contacts, body.centre);
  const kneels =
    !contacts.seat &&
    pose.lie !== "supine" &&
    bothSides.some((side) => contacts.knees[side] !== null && share[side] > 0);
  const standing = upright && !contacts.seat && !contacts.arms;
  const ahead = feetAhead(contacts) > staggeredApart * lengths.height;
  const stand = (side: Side): Stand => {
    if (share[side] <= 0 || !standing) return "none";
    if (share[side] >= 0.999) return "alone";
    return ahead ? "staggered" : "shared";
  };
  // Lying on the back or standing: face down, on the side or on a seat the hip flexors do not carry the leg.
  const againstGravity =
    !contacts.seat || !upright ? body.pelvisFrame.up[1] > 0.5 || pose.lie === "supine" : false;
  const raised = (side: Side) => {
    const { knee, hip } = body.angles[side];
    const free = contacts.feet[side] === null && contacts.knees[side] === null;
    return (
      figure.timing.kind !== "sequence" &&
      againstGravity &&
      free &&
      Math.abs(knee) <= straightKneeDeg &&
      hip >= raisedHipDeg
    );
  };
  const lie =
    contacts.arms && !contacts.seat && upright
      ? "hands-and-knees"
      : kneels
        ? "kneeling"
        : lieOf(pose.lie, contacts);
  return {
    place,
    body,
    contacts,
    share,
    hipLoad: legWeight(contacts, body.pelvis),
    stand: { w: stand("w"), o: stand("o") },
    raised: { w: raised("w"), o: raised("o") },
    kneels,
    hands: bothSides.filter((side) => pose.arms[side].reach?.in === "room").length,
    lie,
  };
}

function lieOf(
  lie: "upright" | "supine" | "prone" | "side-up" | "side-down",
  { seat, shoulders, arms }: Contacts,
): DrawnDemand["lies"][number] {
  if (lie === "upright") return seat ? "sitting" : "standing";
  if (lie === "supine") return "supine";
  if (lie === "prone") return seat || shoulders || !arms ? "prone" : "hands-and-knees";
  return "side-lying";
}

/** How far one foot, or a kneeling leg's knee, stands ahead of the other, metres. */
function feetAhead({ feet, knees }: Contacts): number {
  const [w, o] = [knees.w ?? feet.w, knees.o ?? feet.o];
  return w && o ? Math.abs(w[0] - o[0]) : 0;
}

const hardest = (all: readonly Stand[]): Stand =>
  stands[Math.max(...all.map((one) => stands.indexOf(one)))] ?? "none";

function baseOf(looks: readonly Look[]): DrawnDemand["base"] {
  const worst = hardest(looks.flatMap(({ stand }) => [stand.w, stand.o]));
  return ({ none: "none", shared: "both-feet", staggered: "staggered", alone: "one-foot" } as const)[worst];
}

/** The spine's bend between pelvis and chest, forward positive. */
function spineFlexion({ pelvisFrame, chestFrame }: Body): number {
  return (
    (Math.atan2(dot(chestFrame.up, pelvisFrame.fore), dot(chestFrame.up, pelvisFrame.up)) * 180) / Math.PI
  );
}

/** After a moment in which nothing touches the ground, the fewest feet on which it comes down; keys alone promise where feet are. */
function landing(looks: readonly Look[]): 0 | 1 | 2 {
  const keys = looks.filter(({ place }) => Number.isInteger(place));
  const feetAt = ({ contacts, lie }: Look) =>
    lie === "standing" ? bothSides.filter((side) => contacts.feet[side] !== null).length : null;
  const landed = keys.flatMap((look, n) => {
    const before = keys[n - 1];
    const feet = feetAt(look);
    return before && feetAt(before) === 0 && feet ? [feet] : [];
  });
  return (landed.length === 0 ? 0 : Math.min(...landed)) as 0 | 1 | 2;
}

function span(looks: readonly Look[], angle: (look: Look) => number): DegreeSpan {
  const all = looks.map(angle);
  // Nothing is added, and −0 becomes 0.
  return [Math.min(...all) + 0, Math.max(...all) + 0];
}
