import { beforeAll, describe, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import { someIntake } from "~tests/builders/intake";
import { signedIn, type Client, type Reply } from "~tests/harness/client";
import { atClinic } from "~tests/harness/at-clinic";

/** A person entered twice becomes one; an episode is handed to a colleague. */
const clinic = atClinic({ own: true });
let lead: Client;
beforeAll(async () => {
  lead = await signedIn(clinic.servers.urls[0] as string, "lead");
});

/** Takes somebody in anew. @returns the episode */
async function entered(familyName: string, bornOn = "1991-04-02") {
  const id = uuid();
  const { person, ...rest } = someIntake("kneecap-pain");
  const reply = await clinic.client.post("/api/intakes", {
    id,
    intake: { ...rest, person: { ...person, familyName, bornOn } },
    stage: "capacity",
    reason: "Walks and climbs stairs without pain",
    items: [{ id: uuid(), exerciseId: "bridge", variantId: "bridge-two-legs" }],
  });
  expect(reply.body.problems ?? []).toEqual([]);
  return id;
}
const merge = (into: string, more: object, by = lead) =>
  by.post(`/api/episodes/${into}/merges`, {
    id: uuid(),
    reason: "The same birth date and telephone",
    ...more,
  });
const person = async (id: string) => (await lead.get(`/api/episodes/${id}/person`)).body;
const problems = ({ body }: Reply) => body.problems ?? [];
const halted = async (id: string) => (await lead.get(`/api/episodes/${id}`)).body.signals.length;

describe("the same person entered twice", () => {
  it("becomes one: name and episodes, with the stops of each", async () => {
    const [one, other] = [await entered("Marchetti"), await entered("Marcheti")];
    await lead.get(`/api/episodes/${one}`);
    await clinic.client.post(`/api/episodes/${other}/signals`, { id: uuid(), code: "calf-hot" });
    expect(await halted(one)).toBe(0);
    expect((await merge(one, { otherEpisode: other }, clinic.client)).status).toBe(403);
    expect((await merge(one, { otherEpisode: other })).status).toBe(201);
    expect(await halted(one)).toBe(1);
    expect((await person(other)).identity.familyName).toBe("Marchetti");
    expect((await person(one)).episodes).toHaveLength(2);
    expect(problems(await merge(one, { otherEpisode: other }))[0].problem).toBe("is this person's already");
    const { rows } = (await lead.get("/api/caseload")).body;
    const names = rows.map((row: { person: { familyName: string } }) => row.person.familyName);
    expect(names.filter((name: string) => name.startsWith("March") && name !== "Marchbanks")).toEqual([
      "Marchetti",
      "Marchetti",
    ]);
  });
  it("can be taken back, from an episode that did not come over", async () => {
    const [one, other] = [await entered("Lindqvist"), await entered("Lindkvist")];
    await merge(one, { otherEpisode: other });
    const [{ id, standing }] = (await person(one)).merges;
    expect(standing).toBe(true);
    expect(problems(await merge(other, { takesBack: id }))[0].problem).toMatch(/did not come over/);
    expect((await merge(one, { takesBack: id })).status).toBe(201);
    expect((await person(other)).identity.familyName).toBe("Lindkvist");
    expect((await person(one)).episodes).toHaveLength(1);
    expect(problems(await merge(one, { takesBack: id }))[0].problem).toMatch(/that stands/);
    expect((await person(one)).merges.map(({ back }: { back: boolean }) => back)).toEqual([true, false]);
  });
  it("is refused for one born on another day, and for nobody", async () => {
    const [one, other] = [await entered("Okafor"), await entered("Okafor", "1990-04-02")];
    expect(problems(await merge(one, { otherEpisode: other }))[0].problem).toMatch(/born on another day/);
    expect(problems(await merge(one, { otherEpisode: uuid() }))[0].problem).toBe(
      "is not an episode of this clinic",
    );
    expect(problems(await merge(one, {}))[0].path).toBe("/otherEpisode");
  });
});

describe("an episode", () => {
  it("is looked after by who took the person in, until it is handed over", async () => {
    const id = await entered("Halvorsen");
    const before = await person(id);
    expect(before.heldBy).toBe("Jorun Vask");
    const colleague = before.colleagues.find(({ name }: { name: string }) => name === "Sunniva Okoro");
    const hand = (toStaff: string) =>
      clinic.client.post(`/api/episodes/${id}/handovers`, {
        id: uuid(),
        toStaff,
        reason: "Moves to the morning list",
      });
    expect(problems(await hand(uuid()))[0].problem).toBe("is nobody here who may sign");
    expect((await hand(colleague.id)).status).toBe(201);
    expect(problems(await hand(colleague.id))[0].problem).toBe("has it already");
    const after = await person(id);
    expect(after.heldBy).toBe("Sunniva Okoro");
    expect(after.handovers).toMatchObject([{ to: "Sunniva Okoro", by: "Jorun Vask" }]);
    const { rows } = (await lead.get("/api/caseload")).body;
    const row = rows.find(({ episodeId }: { episodeId: string }) => episodeId === id);
    expect(row.heldBy).toEqual({ id: colleague.id, name: "Sunniva Okoro" });
  });
  it("is not handed to an assistant, who may not sign", async () => {
    const id = await entered("Brandvold");
    expect((await person(id)).colleagues.map(({ name }: { name: string }) => name)).not.toContain(
      "Piet Almgren",
    );
  });
});
