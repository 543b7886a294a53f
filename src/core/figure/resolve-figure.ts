import type { BodyLengths } from "~/core/pose/body-lengths";
import { standsOn } from "~/core/pose/place-leg";
import type { PointName, Pose } from "~/core/pose/pose";
import type { Body } from "~/core/pose/body";
import { resolvePose } from "~/core/pose/resolve-pose";
import { plus, type Vec } from "~/core/pose/space";
import type { Anchor, Contact, Figure } from "./figure";
import { poseAt } from "./pose-at";

export type Drawable =
  | { readonly ok: true; readonly body: Body; readonly pose: Pose }
  | { readonly ok: false; readonly why: string };

const metContactM = 0.001;
const floorM = -0.001;

/**
 * The body of a figure at a place along its keys.
 *
 * @returns the body and the pose it is in, or why it cannot be drawn: a limb that cannot reach, a joint beyond its limit, a contact that is not
 *   met to a millimetre, or a point under the floor
 */
export function resolveFigure(lengths: BodyLengths, figure: Figure, place: number): Drawable {
  const pose = poseAt(figure, place);
  const resolved = resolvePose(lengths, pose);
  if (!resolved.ok) return resolved;
  const { points } = resolved.body;
  // From key to key of a sequence feet fly and land; only the keys themselves promise where they stand.
  const flying = figure.timing.kind === "sequence" && !Number.isInteger(place);
  const missed = (flying ? [] : [...figure.contacts, ...soleContacts(pose)]).find(
    (contact) => !meets(points[contact.point], contact),
  );
  if (missed) return { ok: false, why: `${missed.point} does not stay where it should` };
  const sunk = (Object.keys(points) as PointName[]).find((name) => points[name][1] < floorM);
  if (sunk) return { ok: false, why: `${sunk} would be under the floor` };
  return { ok: true, body: resolved.body, pose };
}

/** A sole that is not in the air stands on its ball, on its heel, or on both. */
function soleContacts({ legs }: Pose): Contact[] {
  return (["w", "o"] as const).flatMap((side): Contact[] => {
    const { sole } = legs[side];
    if (!sole || sole.free) return [];
    const { y, pitch } = sole;
    const touching = pitch === 0 ? (["ball", "heel"] as const) : [standsOn(sole)];
    return touching.map((part) => ({ point: `${side}.${part}`, y }));
  });
}

function meets(at: Vec, { x, y, z }: Contact): boolean {
  return [x, y, z].every(
    (wanted, axis) => wanted === undefined || Math.abs((at[axis] ?? NaN) - wanted) <= metContactM,
  );
}

/** Where an anchor is, given the body it may hang on. */
export function anchored(body: Body, anchor: Anchor): Vec {
  if (typeof anchor === "string") return body.points[anchor];
  if ("of" in anchor) return plus(body.points[anchor.of], anchor.plus);
  return anchor;
}
