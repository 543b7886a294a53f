import { describe, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import type { PlanView } from "~/contract/plan";
import type { RecordEntry } from "~/contract/record";
import { at, atClinic, begin, idOf, paths } from "~tests/harness/at-clinic";

const clinic = atClinic();
const stepper = () =>
  begin(clinic, ["kneecap-pain", "capacity", "side-step-up-free"], { irritability: "low" });
const planOf = async (id: string) => (await clinic.client.get(at(id, "plan"))).body as PlanView;
const takeOut = (id: string, itemId: string | undefined) =>
  clinic.client.post(at(id, "endings"), { id: uuid(), itemId, reason: "The wrong one, by a slip" });
const putBack = (id: string, itemId: string | undefined) =>
  clinic.client.post(at(id, "endings-taken-back"), { id: uuid(), itemId });
const add = (id: string) =>
  clinic.client.post(at(id, "items"), {
    id: uuid(),
    exerciseId: idOf("bridge-two-legs"),
    variantId: "bridge-two-legs",
  });

describe("taking out of the plan, undone until the next act", () => {
  it("everything is as it was: place, dose and proposal; what happened stands in the record", async () => {
    const id = await stepper();
    const before = await planOf(id);
    const stair = (await clinic.client.get(`/api/episodes/${id}`)).body;
    expect(before.undo).toBeNull();
    const itemId = before.items[0]?.itemId;
    const out = (await takeOut(id, itemId)).body.plan as PlanView;
    expect(out.items).toEqual([]);
    expect(out.undo).toEqual({ act: "taken-out", itemId, name: before.items[0]?.name });
    const back = (await putBack(id, itemId)).body.plan as PlanView;
    expect({ ...back, version: 0 }).toEqual({ ...before, version: 0 });
    const now = (await clinic.client.get(`/api/episodes/${id}`)).body;
    expect(now.items[0].proposal).toEqual(stair.items[0].proposal);
    const { entries } = (await clinic.client.get(at(id, "record"))).body as { entries: RecordEntry[] };
    const acts = entries.filter((entry) => entry.kind === "plan");
    expect(acts.map(({ act, reason }) => [act, reason])).toEqual([
      ["put-back", null],
      ["taken-out", "The wrong one, by a slip"],
    ]);
    // It can leave again.
    expect((await takeOut(id, itemId)).body.plan.items).toEqual([]);
  });

  it("not once something else was written, and not by an assistant", async () => {
    const id = await stepper();
    const itemId = (await planOf(id)).items[0]?.itemId;
    await takeOut(id, itemId);
    const body = { id: uuid(), itemId };
    expect((await clinic.assistant.post(at(id, "endings-taken-back"), body)).status).toBe(403);
    expect((await add(id)).status).toBe(201);
    expect(paths(await putBack(id, itemId))).toEqual(["/itemId"]);
    expect((await planOf(id)).items.map(({ exerciseId }) => exerciseId)).toEqual([idOf("bridge-two-legs")]);
  });

  it("what was put in last is offered to be taken out; what a session brought along is not", async () => {
    const id = await stepper();
    const added = (await add(id)).body.plan as PlanView;
    expect(added.undo).toMatchObject({ act: "put-in", name: "Bridge" });
    const [first] = added.items;
    const set = { side: "both", reps: 8, painDuring: 0, painSite: "episode", effort: 4, faults: [] };
    const recorded = await clinic.client.post(at(id, "sessions"), {
      id: uuid(),
      occurredAt: "2026-03-10T08:30:00.000Z",
      painBefore: 0,
      items: [],
      unplanned: [
        { itemId: uuid(), exerciseId: "clam", variantId: "clam-60", sets: [{ ...set, side: "left" }] },
      ],
    });
    expect(recorded.body.problems ?? []).toEqual([]);
    expect((await planOf(id)).undo).toBeNull();
    expect(paths(await putBack(id, first?.itemId))).toEqual(["/itemId"]);
    const { entries } = (await clinic.client.get(at(id, "record"))).body as { entries: RecordEntry[] };
    const acts = entries.filter((entry) => entry.kind === "plan");
    expect(acts.map(({ act, exercise }) => [act, exercise])).toEqual([["put-in", "Bridge"]]);
  });
});
