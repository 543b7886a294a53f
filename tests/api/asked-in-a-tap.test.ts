import { describe, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import { signedIn } from "~tests/harness/client";
import { at, atClinic, begin, paths } from "~tests/harness/at-clinic";

/** What the rules need to know of a session, what comes of it, and the plan as a whole after weeks away. */
const clinic = atClinic();

const begun = async () => {
  const id = await begin(clinic, ["kneecap-pain", "capacity", "side-step-up-held"], { irritability: "low" });
  const { items } = (await clinic.client.get(`/api/episodes/${id}`)).body;
  return { id, itemId: items[0].itemId as string };
};
const session = (itemId: string, over: object = {}, felt: object = {}) => ({
  id: uuid(),
  occurredAt: "2026-03-10T08:30:00.000Z",
  painBefore: 1,
  items: [
    {
      itemId,
      sets: [1, 2, 3].flatMap(() =>
        (["left", "right"] as const).map((side) => ({
          side,
          reps: 12,
          painDuring: 0,
          painSite: "episode",
          effort: 6,
          faults: [],
          ...(side === "left" ? felt : {}),
        })),
      ),
    },
  ],
  ...over,
});
const stair = async (id: string) => (await clinic.client.get(`/api/episodes/${id}`)).body;

describe("what the pain came with", () => {
  it("is kept with its angle, decides the ease, and is told in the record and the case file", async () => {
    const { id, itemId } = await begun();
    const felt = { painDuring: 7, painWith: "depth", painArc: { fromDeg: 60 } };
    const written = await clinic.client.post(at(id, "sessions"), session(itemId, {}, felt));
    expect(written.body.problems ?? []).toEqual([]);
    const [item] = (await stair(id)).items;
    expect(item.proposal).toMatchObject({ outcome: "ease", rule: "ease-pain-at-depth" });
    expect(item.proposal.evidence[0].values).toMatchObject({ form: "angle", fromDeg: 60 });
    const file = (await clinic.client.get(at(id, "case"))).body;
    expect(file.sessions[0].items[0].sets[0]).toMatchObject(felt);
  });
  it.each([
    [
      { painDuring: 6, painWith: "depth", painArc: { fromDeg: 60, toDeg: 40 } },
      "/items/0/sets/0/painArc/toDeg",
    ],
    [{ painDuring: 6, painSite: "muscle", painArc: { fromDeg: 60 } }, "/items/0/sets/0/painArc"],
    [{ painDuring: 6, painWith: "moonlight" }, "/items/0/sets/0/painWith"],
    [{ painDuring: 6, painWith: "depth", painArc: { fromDeg: 200 } }, "/items/0/sets/0/painArc/fromDeg"],
  ])("refuses %o at the field", async (felt, path) => {
    const { id, itemId } = await begun();
    expect(paths(await clinic.client.post(at(id, "sessions"), session(itemId, {}, felt)))).toContain(path);
  });
});

describe("lasting soreness", () => {
  it("is asked about after a sore day and 48 h, and then counts for that day", async () => {
    const { id, itemId } = await begun();
    const sore = { painDuring: 4, painSite: "muscle" };
    clinic.servers.setClock("2026-03-10T09:10:00.000Z");
    const first = session(itemId, { occurredAt: "2026-03-10T09:05:00.000Z" }, sore);
    expect((await clinic.client.post(at(id, "sessions"), first)).status).toBe(201);
    expect((await stair(id)).soreFrom).toBeNull();
    clinic.servers.setClock("2026-03-12T09:06:00.000Z");
    clinic.client = await signedIn(clinic.servers.urls[0] as string);
    expect((await stair(id)).soreFrom).toBe("2026-03-10");
    const next = session(itemId, {
      occurredAt: "2026-03-12T09:06:00.000Z",
      stillSore: true,
      footwear: "barefoot",
    });
    expect((await clinic.client.post(at(id, "sessions"), next)).status).toBe(201);
    const file = (await clinic.client.get(at(id, "case"))).body;
    expect(file.sessions[1]).toMatchObject({ stillSore: true, footwear: "barefoot" });
    const codes = (await stair(id)).items[0].proposal.evidence.map((e: { code: string; date: string }) => [
      e.code,
      e.date,
    ]);
    expect(codes).toContainEqual(["pain-hold-band", "2026-03-10"]);
  });
});

describe("more than four weeks away", () => {
  it("is one re-baseline of the plan; signed with what was found, the plan goes on", async () => {
    const { id, itemId } = await begun();
    await clinic.client.post(at(id, "sessions"), session(itemId));
    clinic.servers.setClock("2026-04-08T09:00:00.000Z");
    clinic.client = await signedIn(clinic.servers.urls[0] as string);
    const away = await stair(id);
    expect(away.rebaselineDays).toBe(29);
    expect(away.items[0].proposal).toMatchObject({ outcome: "hold", rule: "rebaseline", review: true });
    const { rows } = (await clinic.client.get(`/api/caseload?ids=${id}`)).body;
    expect(rows).toMatchObject([{ episodeId: id, attention: "rebaseline" }]);
    const signed = await clinic.client.post(at(id, "decisions"), {
      id: uuid(),
      itemId,
      expectedVersion: away.version,
      action: "refuse",
      reason: "Measured: steps 10 cm without pain",
    });
    expect(signed.status).toBe(201);
    expect(signed.body.stair.rebaselineDays).toBeNull();
    expect(signed.body.stair.items[0].proposal.rule).not.toBe("rebaseline");
  });
});

describe("the episode day by day", () => {
  it("tells what was known, proposed, signed, and how the next time went; from a day on", async () => {
    const { id, itemId } = await begun();
    await clinic.client.post(at(id, "sessions"), session(itemId));
    const read = (await clinic.client.get(at(id, "days"))).body;
    expect(read.dates).toEqual(["2026-03-10"]);
    expect(read.days[0]).toMatchObject({ date: "2026-03-10", sessions: 1 });
    expect(read.days[0].items[0]).toMatchObject({ itemId, done: { painBefore: 1 }, next: null });
    expect((await clinic.client.get(at(id, "days?from=2026-03-11"))).body.days).toEqual([]);
    expect((await clinic.client.get(at(id, "days?from=soon"))).status).toBe(422);
  });
});
