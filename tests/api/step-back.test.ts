import { describe, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import type { CallsView } from "~/contract/clinic";
import type { StairItem, StairView } from "~/contract/episode";
import { at, atClinic, begin } from "~tests/harness/at-clinic";
import { signedIn } from "~tests/harness/client";

const clinic = atClinic({ own: true });
/** Two processes whose clocks are minutes apart are one whose clock is put forth and back. */
const ahead = () => clinic.servers.setClock("2026-03-10T09:25:00.000Z");
const behind = () => clinic.servers.setClock("2026-03-10T09:21:00.000Z");

const stairOf = async (id: string) =>
  (await clinic.client.get(`/api/episodes/${id}`)).body as StairView & { items: [StairItem] };

/** Signs another number of sets for the one exercise of a plan. */
async function signSets(id: string, sets: number): Promise<StairView & { items: [StairItem] }> {
  const { version, items } = await stairOf(id);
  const { itemId, prescription } = items[0];
  const reply = await clinic.client.post(at(id, "decisions"), {
    id: uuid(),
    itemId,
    expectedVersion: version,
    action: "change",
    prescription: { ...prescription, dose: { ...prescription.dose, sets } },
    reason: "So many were done last week without a reaction",
  });
  expect(reply.body.problems ?? []).toEqual([]);
  return stairOf(id);
}

describe("what was signed last holds, whatever the clocks say", () => {
  const stepper = () =>
    begin(clinic, ["kneecap-pain", "capacity", "side-step-up-free"], { irritability: "low" });

  it("a dose signed where the clock is behind takes the place of one signed where it is ahead", async () => {
    const id = await stepper();
    ahead();
    expect((await signSets(id, 2)).items[0].prescription.dose.sets).toBe(2);
    behind();
    expect((await signSets(id, 4)).items[0].prescription.dose.sets).toBe(4);
    ahead();
    expect((await stairOf(id)).items[0].prescription.dose.sets).toBe(4);
  });

  it("a step back of the clock brings nothing back: a stop stays, and so does its clearance", async () => {
    const id = await stepper();
    ahead();
    const raised = await clinic.client.post(at(id, "signals"), { id: uuid(), code: "calf-hot" });
    expect(raised.status).toBe(201);
    behind();
    const { signals, items } = await stairOf(id);
    expect(signals).toMatchObject([{ code: "calf-hot" }]);
    expect(items[0].proposal.outcome).toBe("stop");
    const { body } = await clinic.client.post(at(id, "signal-clearances"), {
      id: uuid(),
      signalId: signals[0]?.id,
      reason: "Scan without a clot",
    });
    expect(body.problems ?? []).toEqual([]);
    expect((await stairOf(id)).signals).toEqual([]);
    ahead();
    expect((await stairOf(id)).signals).toEqual([]);
  });

  it("what arrives where the clock is behind, after an answer where it is ahead, is news", async () => {
    const id = await stepper();
    ahead();
    const { items } = await signSets(id, 2);
    behind();
    const recorded = await clinic.client.post(at(id, "sessions"), {
      id: uuid(),
      occurredAt: "2026-03-10T09:20:00.000Z",
      painBefore: 0,
      items: [
        {
          itemId: items[0].itemId,
          sets: [
            { side: "left", reps: 8, painDuring: 8, painSite: "episode", effort: 6, faults: [] },
            { side: "left", reps: 8, painDuring: 8, painSite: "episode", effort: 6, faults: [] },
          ],
        },
      ],
    });
    expect(recorded.body.problems ?? []).toEqual([]);
    expect((await stairOf(id)).items[0].proposal.outcome).toBe("ease");
    ahead();
    expect((await stairOf(id)).items[0].proposal.outcome).toBe("ease");
  });

  it("whom to call is what was set last", async () => {
    const lead = await signedIn(clinic.servers.urls[0] as string, "lead");
    const set = (words: string) =>
      lead.post("/api/clinic/calls", {
        id: uuid(),
        calls: { emergency: words, "same-day": words, soon: words, review: words },
      });
    ahead();
    await set("The number before");
    behind();
    await set("The number that holds now");
    const { calls } = (await lead.get("/api/clinic/calls")).body as CallsView;
    expect(calls.emergency).toBe("The number that holds now");
  });
});
