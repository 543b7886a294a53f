import type { Pose } from "~/core/pose/pose";
import { dumbbell } from "./around";
import { type Recipe, arm, figure, freeLeg, hands, onBoth, onOne } from "./parts";

/** The forearm turns inward against a band that stands to the side. */
const inwardRotation: Recipe = (k, b) => {
  const h = b.height;
  const high = k.is("lever", "long");
  const pressed = k.is("contraction", "isometric");
  const at = (out: number): Pose => {
    const base = onBoth(b, 4, 2, { arms: hands.hang() });
    const w = high
      ? arm({ flexion: 20 - out, abduction: 84, rotation: out, elbow: 88 })
      : arm({ flexion: 4, abduction: 8, rotation: out, elbow: 90 });
    return { ...base, arms: { ...base.arms, w } };
  };
  const doorZ = -0.02 * h;
  return figure({
    viewDeg: 66,
    keys: pressed ? [at(-10)] : high ? [at(60), at(-16)] : [at(48), at(-42)],
    props: pressed
      ? [
          {
            kind: "line",
            what: "frame",
            through: [
              [0.2 * h, 0, doorZ],
              [0.2 * h, 1.1 * h, doorZ],
            ],
          },
          { kind: "press", at: "w.wrist", towards: [0, 0, -1] },
        ]
      : [{ kind: "line", what: "band", through: ["w.grip", [0.1 * h, 0.56 * h, 0.55 * h]] }],
    moves: "w.grip",
  });
};

/** A weight held bottom up beside the ear and pressed overhead. */
const bottomUpPress: Recipe = (k, b) => {
  const single = k.is("laterality", "single");
  const free = freeLeg({ hip: 34, knee: 78 });
  const arms = (up: boolean): Pose["arms"] => ({
    w: up
      ? k.is("range", "part")
        ? arm({ flexion: 96, abduction: 20, elbow: 86 })
        : arm({ flexion: 170, abduction: 6, elbow: 6 })
      : arm({ flexion: 52, abduction: 22, elbow: 128 }),
    o: arm({ abduction: 22, elbow: 10 }),
  });
  const at = (up: boolean) =>
    single ? onOne(b, 6, 2, free, { arms: arms(up) }) : onBoth(b, 4, 2, { arms: arms(up) });
  const weighted = !k.is("load-place", "none");
  return figure({
    viewDeg: 40,
    keys: [at(false), at(true)],
    timing: { kind: "there-and-back", lowers: "back" },
    props: weighted ? [dumbbell("w", [0, 1, 0])] : [],
    moves: "w.grip",
  });
};

export const shoulderFigures: Readonly<Record<string, Recipe>> = {
  "shoulder-inward-rotation": inwardRotation,
  "bottom-up-press": bottomUpPress,
};
