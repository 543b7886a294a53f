import { describe, expect, it } from "vitest";
import { startingExercises } from "~/catalogue/exercises/all";
import type { CaseSession } from "~/core/case/case-file";
import type { StairView } from "~/contract/episode";
import { firstPrescription, variantOf } from "~/core/exercise/exercise";
import type { SetRecord } from "~/core/response/session-record";
import {
  correctingDraft,
  countedFields,
  expandedSets,
  itemOf,
  itemState,
  newDraft,
  resumedDraft,
  unplannedItem,
  type SessionDraft,
  type SessionItem,
} from "./session-draft";
import { toBody } from "./session-body";

function itemFor(id: string, variantId: string): SessionItem {
  const exercise = startingExercises.find((entry) => entry.id === id);
  if (!exercise) throw new Error(`${id} is not in the catalogue`);
  const variant = variantOf(exercise, variantId);
  const prescription = firstPrescription(variant);
  return {
    itemId: id,
    exercise,
    name: exercise.name,
    prescription,
    variantName: variant.name,
    maximumN: null,
  };
}

const stepUp = itemFor("side-step-up", "side-step-up-held");
const press = itemFor("leg-press", "leg-press-both");
const stairWith = (items: readonly SessionItem[], involvedSide: StairView["involvedSide"] = "right") =>
  ({ asOf: "2026-03-10T09:00:00.000Z", involvedSide, items }) as StairView;
const fresh = (...items: SessionItem[]) => newDraft(stairWith(items));

/** The draft with its first item's set filled in. */
function filled(draft: SessionDraft, over: Partial<SessionDraft["items"][number]["sets"][number]> = {}) {
  const [first, ...rest] = draft.items;
  if (!first) throw new Error("the plan is empty");
  const sets = first.sets.map((set) => ({ ...set, painDuring: 1, effort: 6, ...over }));
  return { ...draft, painBefore: 0, items: [{ ...first, sets }, ...rest] };
}

/** The body of a draft that is whole. */
const bodyOf = (draft: SessionDraft) => {
  const body = toBody(draft);
  if (!body) throw new Error("something is missing in the draft");
  return body;
};

describe("a new session", () => {
  it("has what the plan says filled in, and pain and effort open", () => {
    const [item] = fresh(stepUp).items;
    const { sets, reps } = stepUp.prescription.dose;
    expect(item).toMatchObject({ count: sets, differs: false, unplanned: null });
    expect(item?.sets).toHaveLength(1);
    expect(item?.sets[0]).toMatchObject({
      side: "right",
      reps: String(reps?.top),
      painDuring: null,
      effort: null,
    });
    expect(item && itemState(item)).toBe("open");
  });

  it("asks of each exercise only what its dose counts", () => {
    expect(countedFields(stepUp)).toMatchObject({ reps: true, holdSeconds: false, forceN: false });
    const squeeze = itemFor("ball-squeeze", "ball-squeeze-bent");
    expect(countedFields(squeeze)).toMatchObject({ reps: false, holdSeconds: true, forceN: true });
  });

  it("works the injured side first, the left where both are, both where the legs share the work", () => {
    const side = (item: SessionItem, involved: StairView["involvedSide"]) =>
      newDraft(stairWith([item], involved)).items[0]?.sets[0]?.side;
    expect(side(stepUp, "left")).toBe("left");
    expect(side(stepUp, "both")).toBe("left");
    expect(side(press, "right")).toBe("both");
  });
});

describe("what has to be asked of an item", () => {
  const state = (painDuring: number | null, effort: number | null) => {
    const item = filled(fresh(stepUp), { painDuring, effort }).items[0];
    return item && itemState(item);
  };
  it("is open, begun or known; nought is an answer", () => {
    expect(state(null, null)).toBe("open");
    expect(state(0, null)).toBe("part");
    expect(state(null, 5)).toBe("part");
    expect(state(0, 0)).toBe("done");
  });
});

describe("sets alike", () => {
  it("stand for as many as were done, each matched by the other side, whose pain and faults were its own", () => {
    const fault = { fault: "knee-in", severity: "marked" as const, reps: 2 };
    const item = filled(fresh(stepUp), {
      painDuring: 3,
      limit: "pain",
      confidence: 4,
      faults: [fault],
    }).items[0];
    const sets = item ? expandedSets({ ...item, count: 2 }) : [];
    expect(sets.map(({ side }) => side)).toEqual(["right", "left", "right", "left"]);
    expect(sets[0]).toMatchObject({ painDuring: 3, limit: "pain", confidence: 4, faults: [fault] });
    expect(sets[1]).toMatchObject({ painDuring: 0, limit: "", confidence: null, faults: [], effort: 6 });
  });

  it("of one leg alone are that leg's, and have no match", () => {
    const alone = { ...stepUp, prescription: { ...stepUp.prescription, leg: "other" as const } };
    const item = filled(fresh(alone)).items[0];
    expect(item && expandedSets({ ...item, count: 2 }).map(({ side }) => side)).toEqual(["left", "left"]);
  });

  it("of both legs need no match, and different ones stand as they are", () => {
    const item = filled(fresh(press)).items[0];
    expect(item && expandedSets({ ...item, count: 3 }).map(({ side }) => side)).toEqual([
      "both",
      "both",
      "both",
    ]);
    expect(item && expandedSets({ ...item, differs: true, count: 3 })).toHaveLength(1);
  });
});

describe("the body that is sent", () => {
  it("leaves out what was not done and what was not typed", () => {
    const body = bodyOf(filled(fresh(stepUp, press)));
    expect(body).not.toHaveProperty("minutes");
    expect(body).not.toHaveProperty("otherLoad");
    expect(body).not.toHaveProperty("footwear");
    expect(body).not.toHaveProperty("supersedes");
    expect(body).not.toHaveProperty("unplanned");
    expect(body.items).toMatchObject([{ itemId: "side-step-up" }]);
  });

  it("reads a decimal comma as the point it means", () => {
    const draft = filled(fresh(press), { loadKg: "42,5", reps: " 8 " });
    expect(bodyOf({ ...draft, footwear: "barefoot" })).toMatchObject({ footwear: "barefoot" });
    const [item] = bodyOf({ ...draft, minutes: "35", otherLoad: "much" }).items as {
      sets: SetRecord[];
    }[];
    expect(item?.sets[0]).toMatchObject({ loadKg: 42.5, reps: 8 });
  });

  it("gives a pinch its grade, and no other limit one", () => {
    const limitOf = (limit: "pinch" | "pain", pinchGrade: string) =>
      (bodyOf(filled(fresh(press), { limit, pinchGrade })).items as { sets: SetRecord[] }[])[0]?.sets[0]
        ?.limit;
    expect(limitOf("pinch", "2")).toEqual({ kind: "pinch", pinchGrade: 2 });
    expect(limitOf("pinch", "")).toEqual({ kind: "pinch" });
    expect(limitOf("pain", "2")).toEqual({ kind: "pain" });
  });

  it("says what a pain at the site came with, and the angle where it came with a depth", () => {
    const felt = (over: Parameters<typeof filled>[1]) => {
      const [item] = bodyOf(filled(fresh(press), { painDuring: 6, ...over })).items as {
        sets: SetRecord[];
      }[];
      return [item?.sets[0]?.painWith, item?.sets[0]?.painArc];
    };
    const angles = { painFromDeg: "70", painToDeg: "" };
    expect(felt({ painWith: "depth", ...angles })).toEqual(["depth", { fromDeg: 70 }]);
    expect(felt({ painWith: "depth", painFromDeg: "30", painToDeg: "50" })[1]).toEqual({
      fromDeg: 30,
      toDeg: 50,
    });
    expect(felt({ painWith: "up", ...angles })).toEqual(["up", undefined]);
    expect(felt({ painWith: "depth", painSite: "muscle", ...angles })).toEqual([undefined, undefined]);
    expect(felt({ painWith: "depth", painDuring: 0, ...angles })).toEqual([undefined, undefined]);
  });

  it("carries work outside the plan apart, with the exercise it was", () => {
    const outside = unplannedItem(press.exercise, "leg-press-both", "right");
    const draft = fresh(stepUp);
    const [done] = filled({ ...draft, items: [outside] }).items;
    const body = bodyOf({ ...draft, painBefore: 0, items: [...draft.items, ...(done ? [done] : [])] });
    expect(body.items).toEqual([]);
    expect(body.unplanned).toMatchObject([{ exerciseId: "leg-press", variantId: "leg-press-both" }]);
  });
});

describe("a draft that was kept", () => {
  it("meets the plan as it is now: what left goes, what came is added, what was typed stays", () => {
    const outside = unplannedItem(press.exercise, "leg-press-both", "right");
    const before = filled(fresh(stepUp, itemFor("ball-squeeze", "ball-squeeze-bent")), { reps: "7" });
    const kept = { ...before, minutes: "20", items: [...before.items, outside] };
    const resumed = resumedDraft(kept, stairWith([stepUp, press]));
    expect(resumed.items.map(({ itemId }) => itemId)).toEqual(["side-step-up", "leg-press", outside.itemId]);
    expect(resumed.items[0]?.sets[0]).toMatchObject({ reps: "7", painDuring: 1 });
    expect(resumed).toMatchObject({ id: kept.id, minutes: "20" });
  });

  it("finds the item behind an entry, and none for one that has left the plan", () => {
    const outside = unplannedItem(press.exercise, "leg-press-both", "right");
    const stair = stairWith([stepUp]);
    expect(fresh(stepUp).items.map((entry) => itemOf(entry, stair)?.itemId)).toEqual(["side-step-up"]);
    expect(itemOf(outside, stair)).toMatchObject({ itemId: outside.itemId, variantName: "Both legs" });
    expect(fresh(press).items.map((entry) => itemOf(entry, stair))).toEqual([null]);
  });
});

describe("a correction", () => {
  const set: SetRecord = {
    side: "right",
    reps: 9,
    loadKg: 6,
    painDuring: 2,
    painSite: "muscle",
    effort: 7.5,
    limit: { kind: "pinch", pinchGrade: 1 },
    confidence: 8,
    faults: [{ fault: "knee-in", severity: "slight", reps: "some" }],
    settings: { "step-height": 15 },
  };
  const session: CaseSession = {
    id: "0195717b-6a00-7000-8000-000000000001",
    at: "2026-03-08T09:00:00.000Z",
    painBefore: 2,
    minutes: 30,
    otherLoad: "some",
    items: [{ itemId: "side-step-up", sets: [set, { ...set, side: "left", painDuring: 0 }] }],
  };

  it("begins with everything as it was written, and sends the same again", () => {
    const draft = correctingDraft(session, stairWith([stepUp, press]));
    expect(draft).toMatchObject({ supersedes: session.id, painBefore: 2, minutes: "30", otherLoad: "some" });
    const body = bodyOf(draft);
    expect(body).toMatchObject({ supersedes: session.id, occurredAt: session.at });
    expect(body.items).toEqual(session.items);
    expect(body.id).not.toBe(session.id);
  });
});
