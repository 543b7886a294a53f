import { describe, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import { at, atClinic, begin, paths } from "~tests/harness/at-clinic";

const clinic = atClinic();
const squat = { exerciseId: "two-leg-squat", variantId: "squat-bar" };
const dose = { style: "strength", policy: "double-progression", restSeconds: 120, daysPerWeek: 2 };
const loaded = (loadKg: number, over: object = {}) => ({
  id: uuid(),
  ...squat,
  dose: { ...dose, sets: 3, reps: { bottom: 6, top: 10 }, loadKg },
  ...over,
});
const fresh = () => begin(clinic, ["kneecap-pain", "single-leg-control", "bridge-two-legs"]);
const items = async (id: string) => (await clinic.client.get(at(id, "plan"))).body.items;
const set = (over: object) => ({
  side: "both",
  reps: 8,
  painDuring: 0,
  painSite: "episode",
  effort: 6,
  faults: [],
  ...over,
});
const session = (itemId: string, sets: object[], over: object = {}) => ({
  id: uuid(),
  occurredAt: "2026-03-10T08:30:00.000Z",
  painBefore: 0,
  items: [{ itemId, sets }],
  ...over,
});

describe("an exercise added with a dose of one's own", () => {
  it("a first load above twice the body asks, once said that it is meant it stands; above five times it is refused", async () => {
    const id = await fresh();
    const asked = await clinic.client.post(at(id, "items"), loaded(200));
    expect(asked.status).toBe(422);
    expect(asked.body).toMatchObject({ type: "/problems/unusual", problems: [{ path: "/dose/loadKg" }] });
    expect(await items(id)).toHaveLength(1);
    const beyond = await clinic.client.post(at(id, "items"), loaded(450, { meant: true }));
    expect(beyond.body).toMatchObject({ type: "/problems/refused-input" });
    expect(paths(beyond)).toEqual(["/dose/loadKg"]);
    const meant = await clinic.client.post(at(id, "items"), loaded(200, { meant: true }));
    expect(meant.status).toBe(201);
    expect(await items(id)).toHaveLength(2);
  });

  it("more than twice what was done before asks, whatever took the exercise out in between", async () => {
    const id = await fresh();
    const first = loaded(40);
    expect((await clinic.client.post(at(id, "items"), first)).status).toBe(201);
    await clinic.client.post(at(id, "endings"), { id: uuid(), itemId: first.id, reason: "A week of rest" });
    expect((await clinic.client.post(at(id, "items"), loaded(81))).body.type).toBe("/problems/unusual");
    expect((await clinic.client.post(at(id, "items"), loaded(80))).status).toBe(201);
  });
});

describe("a session", () => {
  it("with more than twice what was prescribed asks at the set, keeps nothing, and is kept as typed when meant", async () => {
    const id = await fresh();
    const item = loaded(20);
    await clinic.client.post(at(id, "items"), item);
    const typed = session(item.id, [set({ loadKg: 20 }), set({ loadKg: 200 })]);
    const asked = await clinic.client.post(at(id, "sessions"), typed);
    expect(asked.status).toBe(422);
    expect(asked.body).toMatchObject({
      type: "/problems/unusual",
      problems: [{ path: "/items/0/sets/1/loadKg", problem: "200 kg; 20 kg at most until now" }],
    });
    const meant = await clinic.client.post(at(id, "sessions"), { ...typed, meant: true });
    expect(meant.status).toBe(201);
    // What was done once is no surprise the next time.
    const next = session(item.id, [set({ loadKg: 200 })], { occurredAt: "2026-03-10T08:50:00.000Z" });
    expect((await clinic.client.post(at(id, "sessions"), next)).status).toBe(201);
  });
  it("what a corrected session held is no measure of what comes after", async () => {
    const id = await fresh();
    const item = loaded(20);
    await clinic.client.post(at(id, "items"), item);
    const slip = session(item.id, [set({ loadKg: 90 })], { meant: true });
    await clinic.client.post(at(id, "sessions"), slip);
    const mended = session(item.id, [set({ loadKg: 20 })], { supersedes: slip.id });
    expect((await clinic.client.post(at(id, "sessions"), mended)).status).toBe(201);
    const again = session(item.id, [set({ loadKg: 90 })], { occurredAt: "2026-03-10T08:50:00.000Z" });
    expect((await clinic.client.post(at(id, "sessions"), again)).body.type).toBe("/problems/unusual");
  });
});

it("the plan says which sums are too much; an eleventh exercise asks", async () => {
  const id = await fresh();
  const { body } = await clinic.client.get("/api/exercises?stage=kneecap-pain/single-leg-control");
  const seen = new Set(["bridge"]);
  let asked = null;
  for (const hit of body.hits as { exerciseId: string; variantId: string }[]) {
    if (seen.has(hit.exerciseId)) continue;
    seen.add(hit.exerciseId);
    const { exerciseId, variantId } = hit;
    const reply = await clinic.client.post(at(id, "items"), { id: uuid(), exerciseId, variantId });
    if (reply.body.type === "/problems/unusual") {
      asked = { exerciseId, variantId, says: reply.body.problems[0].problem };
      break;
    }
  }
  expect(asked?.says).toBe("11 exercises; 10 a day at most");
  expect(await items(id)).toHaveLength(10);
  const meant = await clinic.client.post(at(id, "items"), {
    id: uuid(),
    exerciseId: asked?.exerciseId,
    variantId: asked?.variantId,
    meant: true,
  });
  expect(meant.status).toBe(201);
  expect(meant.body.plan.totals).toEqual(
    expect.arrayContaining([
      { code: "items", value: 11, most: 10 },
      expect.objectContaining({ code: "minutes", most: 40 }),
    ]),
  );
});
