import { bothSides, contactsOf, type Side } from "~/core/demand/contacts";
import type { Moment } from "~/core/demand/drawn-movement";
import type { Figure } from "~/core/figure/figure";
import type { BodyLengths } from "~/core/pose/body-lengths";
import { plus, type Vec } from "~/core/pose/space";
import { legLoad, type LegLoad } from "./leg-load";
import { loadsCarried, supported, type PointMass } from "./loads-carried";

/** Why a moment has no figures: it is not held up by feet alone, or it would not stay up if it were held still. */
export const unreadable = ["not-standing", "leans-on-something"] as const;
export type Unreadable = (typeof unreadable)[number];

export interface StandingLoads {
  readonly legs: Readonly<Record<Side, LegLoad | null>>;
  /** Everything above the feet that stand, load included. */
  readonly above: PointMass;
}

/** Feet farther apart than this share of the height, one ahead of the other, are a staggered stance. */
const staggeredApart = 0.06;
/** How far beyond heel or toe the pressure may seem to lie before nobody would stand so, shares of the foot. */
const slack = 0.12;
const middleOfFoot = 0.5;
/** A chest no farther than this above a table, shares of the height, lies on it. */
const chestThickness = 0.12;

/**
 * What the legs carry in one drawn moment, held still. Feet side by side share by the line between them and have the pressure at the
 * same place of the foot, below the centre of mass; of a staggered stance the foot that is flat has it in its middle, one whose heel
 * is up under its ball.
 *
 * @param massKg of the body; `loadKg` hangs where it is drawn
 * @returns loads of both legs, null for one in the air; or why there are none
 * Source: statics of a body on one or two supports; the pressures of a staggered stance common practice.
 */
export function standingLoads(
  lengths: BodyLengths,
  figure: Figure,
  moment: Moment,
  { massKg, loadKg }: { readonly massKg: number; readonly loadKg: number },
): StandingLoads | Unreadable {
  const { body, pose } = moment;
  const contacts = contactsOf(lengths, figure, moment);
  const feet = bothSides.filter((side) => contacts.feet[side]);
  const otherwise =
    contacts.seat ?? contacts.shoulders ?? contacts.arms ?? contacts.knees.w ?? contacts.knees.o;
  if (pose.lie !== "upright" || otherwise || feet.length === 0) return "not-standing";
  if (liesOnTable(figure, body, lengths.height)) return "leans-on-something";
  const above = supported(body, massKg, feet, loadsCarried(body, figure, loadKg));
  const rests = restsOf(feet, body, above.at, staggeredApart * lengths.height);
  if (!rests) return "leans-on-something";
  const load = (side: Side): LegLoad | null => {
    const rest = rests.find((one) => one.side === side);
    if (!rest) return null;
    const leg = body.legs[side];
    const standing = { ...rest, leg, pelvis: body.pelvisFrame, kneeFlexionDeg: body.angles[side].knee };
    return legLoad(standing, above.kg, massKg);
  };
  return { legs: { w: load("w"), o: load("o") }, above };
}

/** A chest that lies on a table while the feet stand. */
function liesOnTable({ props }: Figure, { points }: Moment["body"], heightM: number): boolean {
  const [x, y] = points.chest;
  return props.some(
    (prop) =>
      prop.kind === "block" &&
      prop.what === "table" &&
      x >= prop.x[0] &&
      x <= prop.x[1] &&
      Math.abs(y - prop.y[1]) <= chestThickness * heightM,
  );
}

interface Rest {
  readonly side: Side;
  readonly share: number;
  readonly pressurePoint: number;
  readonly pressureAt: Vec;
}

function restsOf(feet: readonly Side[], body: Moment["body"], at: Vec, apart: number): Rest[] | null {
  const [first, second] = feet as [Side, Side?];
  const rest = (side: Side, share: number, pressurePoint: number): Rest => ({
    side,
    share,
    pressurePoint,
    pressureAt: alongFoot(body.legs[side], pressurePoint),
  });
  if (second === undefined) {
    const point = pointUnder(body.legs[first], at);
    return withinFoot(point) ? [rest(first, 1, point)] : null;
  }
  const [w, o] = [body.legs.w, body.legs.o];
  const [wide, ahead] = [w.ankle[2] - o.ankle[2], w.ankle[0] - o.ankle[0]];
  if (Math.abs(ahead) > apart) {
    const [wPoint, oPoint] = [restingPoint(w), restingPoint(o)];
    const [wAt, oAt] = [alongFoot(w, wPoint), alongFoot(o, oPoint)];
    const share = (at[0] - oAt[0]) / (wAt[0] - oAt[0]);
    // A foot that would have to pull only touches: the other stands alone, its pressure below the centre of mass.
    if (share >= 0 && share <= 1) return [rest("w", share, wPoint), rest("o", 1 - share, oPoint)];
    const alone = share > 1 ? "w" : "o";
    const point = pointUnder(body.legs[alone], at);
    return withinFoot(point) ? [rest(alone, 1, point)] : null;
  }
  const share = Math.abs(wide) < 1e-6 ? 0.5 : (at[2] - o.ankle[2]) / wide;
  const point = share * pointUnder(w, at) + (1 - share) * pointUnder(o, at);
  if (!withinFoot(point) || share < -slack || share > 1 + slack) return null;
  return [rest("w", share, point), rest("o", 1 - share, point)];
}

const withinFoot = (point: number) => point >= -slack && point <= 1 + slack;

interface Foot {
  readonly heel: Vec;
  readonly ball: Vec;
  readonly toe: Vec;
}

/** Where along a foot, heel 0 to toe 1, a place lies when it is looked at from the side. */
function pointUnder({ heel, toe }: Foot, at: Vec): number {
  return (at[0] - heel[0]) / (toe[0] - heel[0]);
}

/** Where a foot of a staggered stance rests: under its ball with the heel up, else in its middle. */
function restingPoint({ heel, ball, toe }: Foot): number {
  const liftedHeel = heel[1] - ball[1] > 0.02;
  return liftedHeel ? (ball[0] - heel[0]) / (toe[0] - heel[0]) : middleOfFoot;
}

const alongFoot = ({ heel, toe }: Foot, point: number): Vec =>
  plus(heel, [toe[0] - heel[0], toe[1] - heel[1], toe[2] - heel[2]], point);
