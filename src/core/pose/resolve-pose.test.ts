import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { betweenPoses } from "./between-poses";
import { bodyLengths } from "./body-lengths";
import type { Leg, Pose } from "./pose";
import { apart, resolvePose } from "./resolve-pose";
import { facing, twoLinks } from "./two-links";
import { dot, size, minus } from "./space";

const body = bodyLengths({ heightM: 1.75 });
const leg: Leg = { hip: 0, abduction: 0, rotation: 0, knee: 0, ankle: 0, room: false };
const arm = { flexion: 0, abduction: 0, rotation: 0, elbow: 0 };
const upright: Pose = {
  lie: "upright",
  pelvis: { pitch: 0, lean: 0, turn: 0 },
  spine: { flexion: 0, lean: 0, turn: 0 },
  neck: { flexion: 0, turn: 0 },
  legs: { w: leg, o: leg },
  arms: { w: arm, o: arm },
  root: { point: "w.ball", x: body.ball, y: 0, z: body.hipCentre },
};
const placed = (pose: Pose) => {
  const resolved = resolvePose(body, pose);
  if (!resolved.ok) throw new Error(resolved.why);
  return resolved.body;
};

describe("the anatomical position", () => {
  const { points, centre, headTop } = placed(upright);
  it("has the head at body height, hips at 0.53 of it, heels on the floor", () => {
    expect(headTop[1]).toBeCloseTo(1.75, 9);
    expect(points["w.hip"][1]).toBeCloseTo(0.53 * 1.75, 9);
    expect(points["w.heel"][1]).toBeCloseTo(0, 9);
    expect(points["o.toe"][1]).toBeCloseTo(0, 9);
  });
  // Standing, the centre of mass lies a little above half height: 0.55–0.58 of it (Winter 2009, recalled).
  it("has its centre of mass between 0.54 and 0.6 of the height, midway between the legs", () => {
    expect(centre[1] / 1.75).toBeGreaterThan(0.54);
    expect(centre[1] / 1.75).toBeLessThan(0.6);
    expect(centre[2]).toBeCloseTo(0, 9);
  });
});

describe("joints turn the way anatomy names", () => {
  const moved = (part: Partial<Leg>) => placed({ ...upright, legs: { w: leg, o: { ...leg, ...part } } });
  it("flexion of the hip brings the knee forward, extension back", () => {
    expect(moved({ hip: 60 }).points["o.knee"][0]).toBeGreaterThan(0.3);
    expect(moved({ hip: -20 }).points["o.knee"][0]).toBeLessThan(-0.1);
  });
  it("flexion of the knee brings the heel behind it", () => {
    const { points } = moved({ knee: 90 });
    expect(points["o.ankle"][0]).toBeLessThan(points["o.knee"][0] - 0.3);
  });
  it("abduction takes either leg away from the other", () => {
    expect(moved({ abduction: 30 }).points["o.ankle"][2]).toBeLessThan(-0.4);
    const both = placed({
      ...upright,
      root: { point: "o.ball", x: 0, y: 0 },
      legs: { w: { ...leg, abduction: 30 }, o: leg },
    });
    expect(both.points["w.ankle"][2] - both.points["o.ankle"][2]).toBeGreaterThan(0.5);
  });
  it("outward rotation turns either foot outward", () => {
    const turned = placed({ ...upright, legs: { w: { ...leg, rotation: 40 }, o: { ...leg, rotation: 40 } } });
    expect(turned.points["w.toe"][2]).toBeGreaterThan(turned.points["w.ankle"][2] + 0.08);
    expect(turned.points["o.toe"][2]).toBeLessThan(turned.points["o.ankle"][2] - 0.08);
  });
  it("what is set is what a goniometer reads, also in a pelvis that is tipped", () => {
    fc.assert(
      fc.property(
        fc.record({
          hip: fc.double({ min: -30, max: 120, noNaN: true }),
          knee: fc.double({ min: 0, max: 140, noNaN: true }),
          abduction: fc.double({ min: -20, max: 40, noNaN: true }),
          rotation: fc.double({ min: -40, max: 40, noNaN: true }),
          ankle: fc.double({ min: -50, max: 30, noNaN: true }),
        }),
        fc.double({ min: -30, max: 60, noNaN: true }),
        (angles, pitch) => {
          const { angles: read } = placed({
            ...upright,
            pelvis: { pitch, lean: 0, turn: 0 },
            root: { point: "pelvis", x: 0, y: 3, z: 0 },
            legs: { w: { ...leg, ...angles }, o: { ...leg, ...angles } },
          });
          for (const side of [read.w, read.o]) {
            for (const [joint, degrees] of Object.entries(angles))
              expect(side[joint as keyof typeof angles]).toBeCloseTo(degrees, 5);
          }
        },
      ),
    );
  });
});

describe("two links", () => {
  it("keep their lengths and bend towards the pole, or are refused", () => {
    const number = fc.double({ min: -1, max: 1, noNaN: true });
    fc.assert(
      fc.property(fc.tuple(number, number, number), fc.tuple(number, number, number), (end, pole) => {
        const joint = twoLinks([0, 0, 0], end, 0.43, 0.4, pole);
        const distance = size(end);
        if (distance > 0.83 + 1e-3) expect(joint).toBeNull();
        if (!joint) return;
        expect(size(joint)).toBeCloseTo(0.43, 3);
        expect(size(minus(end, joint))).toBeCloseTo(0.4, 3);
      }),
    );
  });
  it.each([
    ["along the line", [0.1, 0, 0]],
    ["against it", [-0.1, 0, 0]],
    ["no direction at all", [0, 0, 0]],
  ] as const)("keep their lengths when the pole is %s", (_, pole) => {
    const end = [0.5, 0, 0] as const;
    const joint = twoLinks([0, 0, 0], end, 0.43, 0.4, pole) ?? [0, 0, 0];
    expect(size(joint)).toBeCloseTo(0.43, 9);
    expect(size(minus(end, joint))).toBeCloseTo(0.4, 9);
  });
  it("a straight link faces where it would bend", () => {
    const front = facing([0, 1, 0], [0, -1, 0], [1, 0.4, 0]);
    expect(front[0]).toBeCloseTo(1, 9);
    expect(dot(front, [0, 1, 0])).toBeCloseTo(0, 9);
  });
});

describe("what cannot be is refused in words", () => {
  it("a knee that bends forward", () => {
    expect(resolvePose(body, { ...upright, legs: { w: leg, o: { ...leg, knee: -30 } } })).toEqual({
      ok: false,
      why: "knee at -30° is beyond what the joint reaches",
    });
  });
  it("a foot out of reach", () => {
    const far: Leg = { ...leg, sole: { x: 2, y: 0, z: 0, pitch: 0, turn: 0, free: false } };
    expect(resolvePose(body, { ...upright, legs: { w: leg, o: far } })).toMatchObject({
      ok: false,
      why: "the other foot cannot reach its place",
    });
  });
  it("a hand out of reach", () => {
    const away = {
      ...arm,
      reach: {
        in: "room" as const,
        at: [3, 1, 0] as [number, number, number],
        elbowTo: [0, -1, 0] as [number, number, number],
      },
    };
    expect(resolvePose(body, { ...upright, arms: { w: away, o: arm } })).toMatchObject({
      ok: false,
      why: "the working hand cannot reach its place",
    });
  });
  it("a balance that no lean gives: the feet ahead of hips that lie far behind", () => {
    const squat: Leg = {
      ...leg,
      room: true,
      hip: 120,
      knee: 90,
      sole: { y: 0, pitch: 0, turn: 0, free: false },
    };
    expect(
      resolvePose(body, {
        ...upright,
        legs: { w: squat, o: squat },
        balance: { over: "both", forward: true, sideways: false },
      }),
    ).toMatchObject({ ok: false, why: "the body would fall in this position" });
  });
  it("a root that hangs on a foot which itself reaches", () => {
    const reaching: Leg = { ...leg, sole: { x: 0, y: 0, z: 0.09, pitch: 0, turn: 0, free: false } };
    expect(resolvePose(body, { ...upright, legs: { w: reaching, o: leg } })).toMatchObject({ ok: false });
  });
});

it("between two poses every segment keeps its length", () => {
  const bent: Pose = {
    ...upright,
    pelvis: { pitch: 40, lean: 8, turn: 20 },
    legs: { w: { ...leg, hip: 70, knee: 90 }, o: { ...leg, hip: 20, knee: 60, abduction: 20 } },
  };
  for (let share = 0; share <= 1; share += 0.1) {
    const half = placed(betweenPoses(upright, bent, share));
    expect(apart(half, "w.hip", "w.knee")).toBeCloseTo(body.thigh, 9);
    expect(apart(half, "o.knee", "o.ankle")).toBeCloseTo(body.shank, 9);
  }
  expect(betweenPoses(upright, bent, 0)).toBe(upright);
  expect(betweenPoses(upright, bent, 1)).toBe(bent);
});
