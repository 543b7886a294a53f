import { afterAll, beforeAll, beforeEach, describe, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import { startingExercises } from "~/catalogue/exercises/all";
import { fullGym } from "~/core/exercise/kit";
import type { Restriction } from "~/core/limit/restriction";
import { someIntake } from "~tests/builders/intake";
import { signedIn, type Client } from "~tests/harness/client";
import { startServers, type Servers } from "~tests/harness/servers";
import { circumstances } from "~tests/harness/story";

let servers: Servers;
let client: Client;
/** A painful kneecap in its stage of capacity, with a bridge in the plan. */
let knee: string;

beforeAll(async () => {
  servers = await startServers(1);
  client = await signedIn(servers.urls[0] as string);
});
beforeEach(async () => {
  knee = uuid();
  const reason = "Walks and climbs stairs without pain";
  const reply = await client.post("/api/intakes", {
    id: knee,
    intake: someIntake("kneecap-pain", { irritability: "low" }),
    stage: "capacity",
    reason,
    items: [{ id: uuid(), exerciseId: "bridge", variantId: "bridge-two-legs" }],
  });
  expect(reply.body.problems ?? []).toEqual([]);
});
afterAll(() => servers.stop());

const by = { origin: "surgeon", says: "the surgeon's sheet" } as const;
const limitTo = (...limits: object[]) =>
  client.post(`/api/episodes/${knee}/circumstances`, circumstances(limits, fullGym));
const idOf = (variantId: string) =>
  startingExercises.find(({ variants }) => variants.some(({ id }) => id === variantId))?.id;
/** Asks for an exercise by hand; the words with which it is refused, or null. */
async function add(variantId: string, settings?: object): Promise<string | null> {
  const reply = await client.post(`/api/episodes/${knee}/items`, {
    id: uuid(),
    exerciseId: idOf(variantId),
    variantId,
    ...(settings ? { settings } : {}),
  });
  return reply.status === 201
    ? null
    : reply.body.problems.map((p: { problem: string }) => p.problem).join("; ");
}

describe("adding by hand, under what a surgeon wrote", () => {
  const noWeight: Restriction = { kind: "bearing", most: "none", ...by };
  const twoLegs: Restriction = { kind: "bearing", most: "two-legs", ...by };
  const kneeTo = (mostDeg: number): Restriction => ({ kind: "range-limit", joint: "knee", mostDeg, ...by });

  it.each([
    ["knee to 60°: a side step of 25 cm", kneeTo(60), "side-step-up-free", { "step-height": 25 }],
    [
      "knee to 90°: one leg down to a box of 40 cm",
      kneeTo(90),
      "single-leg-squat-plain",
      { "box-height": 40 },
    ],
    ["no weight on the leg: a held hip thrust", noWeight, "hip-thrust-hold", undefined],
    ["no weight: a bridge on one leg", noWeight, "straight-bridge-single", undefined],
    ["no weight: a lean-back with a weight", noWeight, "lean-back-weight", undefined],
    ["two legs only: a lunge", twoLegs, "forward-lunge-free", undefined],
    ["two legs only: a split squat with the rear foot raised", twoLegs, "split-squat-rear-raised", undefined],
  ] as const)(
    "%s is refused with the surgeon's words, and leaves no trace",
    async (_what, limit, variantId, settings) => {
      expect((await limitTo(limit)).status).toBe(201);
      expect(await add(variantId, settings)).toContain("the surgeon's sheet");
      const { items } = (await client.get(`/api/episodes/${knee}/plan`)).body;
      expect(items).toHaveLength(1);
    },
  );

  it("what one leg may do alone is offered for that leg, taken, recorded there, and steps there", async () => {
    await limitTo(noWeight);
    const press = { id: uuid(), exerciseId: "leg-press", variantId: "leg-press-single" };
    const refusal = await client.post(`/api/episodes/${knee}/items`, press);
    expect([refusal.status, refusal.body.changed]).toEqual([422, { legs: ["other"] }]);
    const wrong = await client.post(`/api/episodes/${knee}/items`, { ...press, id: uuid(), leg: "affected" });
    expect(wrong.body.problems[0].problem).toContain("the surgeon's sheet");
    const taken = await client.post(`/api/episodes/${knee}/items`, { ...press, id: uuid(), leg: "other" });
    expect(taken.status).toBe(201);
    const item = taken.body.plan.items.find((one: { exerciseId: string }) => one.exerciseId === "leg-press");
    expect(item).toMatchObject({ prescription: { leg: "other" }, blockedBy: null });
    // The affected leg is the left one: the sets of the right one are the work.
    const { dose } = item.prescription;
    const set = {
      side: "right",
      reps: dose.reps.top,
      loadKg: dose.loadKg,
      painDuring: 0,
      painSite: "episode",
    };
    const done = await client.post(`/api/episodes/${knee}/sessions`, {
      id: uuid(),
      occurredAt: (await client.get(`/api/episodes/${knee}`)).body.asOf,
      painBefore: 0,
      items: [{ itemId: item.itemId, sets: Array(dose.sets).fill({ ...set, effort: 6, faults: [] }) }],
    });
    expect(done.body.problems ?? []).toEqual([]);
    const after = (await client.get(`/api/episodes/${knee}`)).body;
    const said = after.items.find((one: { itemId: string }) => one.itemId === item.itemId);
    expect(said.proposal.evidence.map((one: { code: string }) => one.code)).not.toContain("no-session");
  });

  it("legs that share the work are not parted, and with both affected there is no other one", async () => {
    const reply = await client.post(`/api/episodes/${knee}/items`, {
      id: uuid(),
      exerciseId: "leg-press",
      variantId: "leg-press-both",
      leg: "other",
    });
    expect(reply.body.problems).toEqual([
      { path: "/leg", problem: "cannot be one alone: the legs share this work" },
    ]);
    const both = await client.post("/api/intakes", {
      id: uuid(),
      intake: someIntake("kneecap-pain", { involvedSide: "both" }),
      stage: "capacity",
      reason: "Both kneecaps hurt on the stairs",
      items: [{ id: uuid(), exerciseId: "calf-raise", variantId: "calf-raise-single", leg: "other" }],
    });
    expect(both.body.problems).toEqual([
      { path: "/items/0/leg", problem: "cannot be one alone: both legs are affected" },
    ]);
  });

  it("a plank on the knees is not lying face down", async () => {
    await limitTo({ kind: "position", cannot: ["prone"], origin: "person", says: "cannot lie face down" });
    expect(await add("front-plank-knees")).not.toContain("face down");
  });

  it("limits in the new shape are taken, kept, and hold on the very next request", async () => {
    expect((await limitTo({ kind: "weight", mostShare: 0.6, ...by })).status).toBe(201);
    expect(await add("single-leg-squat-plain")).toContain("the surgeon's sheet");
    expect(await add("squat-free")).toBeNull();
  });

  it("a least above its most is refused at its field, and nothing is kept", async () => {
    const limit = {
      kind: "range",
      joint: "knee",
      leastDeg: 90,
      mostDeg: 60,
      when: "any",
      leg: "involved",
      ...by,
    };
    const reply = await limitTo(limit);
    expect(reply.status).toBe(422);
    expect(reply.body.problems[0]).toMatchObject({ path: "/circumstances/limits/0/mostDeg" });
  });
});

it("a limit written later is named beside every item of the plan that breaks it, and the next step says what bars it", async () => {
  expect(await add("side-step-up-free", { "step-height": 15 })).toBeNull();
  expect(await add("squat-free")).toBeNull();
  const reply = await limitTo({ kind: "range-limit", joint: "knee", mostDeg: 60, ...by });
  expect(reply.status).toBe(201);
  const { items } = (await client.get(`/api/episodes/${knee}/plan`)).body;
  const of = (id: string) => items.find((item: { exerciseId: string }) => item.exerciseId === id);
  expect(of("side-step-up").blockedBy).toBe("the surgeon's sheet");
  expect(of("two-leg-squat")).toMatchObject({
    blockedBy: null,
    harder: { stoppedBy: "the surgeon's sheet" },
  });
});

describe("an exercise of the clinic's own, from a file", () => {
  const base = startingExercises.find(({ id }) => id === "heel-dig");
  if (!base) throw new Error("no heel dig");
  const { asks: _asks, drawnLike: _none, activation: _measured, ...silent } = base;
  const own = (id: string, over: object = {}) => ({
    ...silent,
    id,
    name: `Own ${id}`,
    family: id,
    leadsTo: [],
    forbiddenBy: [],
    variants: base.variants.slice(0, 1).map(({ asks: _said, ...variant }) => ({ ...variant, id: `${id}-0` })),
    ...over,
  });
  const take = async (exercise: object) => {
    const file = { format: "patient-stair-exercises", version: 1, exercises: [exercise] };
    const reply = await client.post("/api/exercises/file", { id: uuid(), file });
    expect(reply.body.problems ?? []).toEqual([]);
    return reply.body.unjudged.map(({ says }: { says: string }) => says) as string[];
  };
  const put = async (exerciseId: string, over: object = {}) => {
    const body = { id: uuid(), exerciseId, variantId: `${exerciseId}-0`, ...over };
    const reply = await client.post(`/api/episodes/${knee}/items`, body);
    return (reply.body.problems ?? []).map((p: { problem: string }) => p.problem).join("; ");
  };

  it("that nobody drew and that says nothing of its muscles is said to be so, and passes no limit that asks", async () => {
    expect(await take(own("own-curl"))).toEqual([
      expect.stringContaining("Has no figure"),
      expect.stringContaining("Does not say which muscles"),
    ]);
    await limitTo({ kind: "stretched", muscle: "hip-flexors", ...by });
    expect(await put("own-curl")).toContain("the surgeon's sheet");
    await limitTo({ kind: "lengthened", muscle: "calf", ...by });
    expect(await put("own-curl")).toContain("the surgeon's sheet");
    await limitTo({ kind: "range", joint: "knee", mostDeg: 140, when: "any", leg: "involved", ...by });
    expect(await put("own-curl")).toContain("the surgeon's sheet");
    await limitTo();
    expect(await put("own-curl")).toBe("");
  });
  it("that says what it asks is judged by its word", async () => {
    expect(await take(own("own-dig", { drawnLike: "heel-dig", asks: { resisted: ["hamstrings"] } }))).toEqual(
      [],
    );
    await limitTo({ kind: "stretched", muscle: "hip-flexors", ...by });
    expect(await put("own-dig")).toBe("");
  });
  it("that says nothing asks what the movement asks that it is drawn like", async () => {
    expect(await take(own("own-press", { drawnLike: "heel-dig" }))).toEqual([]);
    await limitTo({ kind: "resisted", muscle: "hamstrings", most: "none", ...by });
    expect(await put("own-press")).toContain("the surgeon's sheet");
  });
});
