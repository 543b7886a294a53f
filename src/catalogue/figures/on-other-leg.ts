import type { BodyLengths } from "~/core/pose/body-lengths";
import type { Leg, Pose } from "~/core/pose/pose";
import { hands } from "./parts";
import { onOther } from "./swap-sides";

/** The working leg moves free of the ground while the other stands. */
export const onOtherLeg = (b: BodyLengths, working: Leg, arms: Pose["arms"] = hands.hips(b)) =>
  onOther(b, 3, 1, working, {
    arms,
    balance: { over: "w", forward: false, sideways: true },
    pelvis: { pitch: 2 },
  });
