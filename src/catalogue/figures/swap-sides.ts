import type { Arm, Leg, Pose } from "~/core/pose/pose";
import { onOne } from "./parts";

/** The same pose with working and other side changed. */
export function swapped({ legs, arms, root, balance, pelvis, spine, neck, ...rest }: Pose): Pose {
  const turnAbout = <T extends { lean?: number; turn: number }>(part: T): T => ({
    ...part,
    ...(part.lean === undefined ? {} : { lean: -part.lean }),
    turn: -part.turn,
  });
  const across = (one: Leg): Leg =>
    one.sole?.z === undefined ? one : { ...one, sole: { ...one.sole, z: -one.sole.z } };
  const over = { w: "o", o: "w", both: "both" } as const;
  return {
    ...rest,
    pelvis: turnAbout(pelvis),
    spine: turnAbout(spine),
    neck: turnAbout(neck),
    legs: { w: across(legs.o), o: across(legs.w) },
    arms: { w: handOver(arms.o), o: handOver(arms.w) },
    root: {
      ...root,
      point: root.point.replace(/^[wo]\./, (side) => (side === "w." ? "o." : "w.")),
      ...(root.z === undefined ? {} : { z: -root.z }),
    },
    ...(balance ? { balance: { ...balance, over: over[balance.over] } } : {}),
  };
}

function handOver({ reach, ...one }: Arm): Arm {
  if (!reach) return one;
  const [x, y, z] = reach.at;
  return { ...one, reach: reach.in === "room" ? { ...reach, at: [x, y, -z] } : reach };
}

/** Standing on the other leg, so that the working one is free. */
export const onOther = (...args: Parameters<typeof onOne>): Pose => swapped(onOne(...args));
