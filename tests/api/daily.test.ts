import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import type { CaseloadRow } from "~/contract/clinic";
import { addDays } from "~/core/schedule/local-day";
import { startServers, type Servers } from "~tests/harness/servers";
import { signedIn, type Client, type Reply } from "~tests/harness/client";
import { fencer, skater, squeezeOf, squeezeSession } from "~tests/harness/story";

let servers: Servers;
let one: Client;
let two: Client;
let assistant: Client;

beforeAll(async () => {
  servers = await startServers(2);
  one = await signedIn(servers.urls[0] as string);
  two = one.at(servers.urls[1] as string);
  assistant = await signedIn(servers.urls[0] as string, "assistant");
});
afterAll(() => servers.stop());

const at = (id: string, what: string) => `/api/episodes/${id}/${what}`;
const paths = ({ body }: Reply) => body.problems?.map((p: { path: string }) => p.path);
const outcomes = ({ body }: Reply) =>
  new Set((body.stair ?? body).items.map((i: { proposal: { outcome: string } }) => i.proposal.outcome));
const rowOf = async (client: Client, id: string): Promise<CaseloadRow> =>
  (await client.get("/api/caseload")).body.rows.find((row: CaseloadRow) => row.episodeId === id);

/** Waits up to a second for the caseload to say this of somebody; the last thing it said otherwise. */
async function withinASecond(client: Client, id: string, attention: string): Promise<string> {
  let said = "";
  for (const end = Date.now() + 1000; Date.now() < end; await new Promise((r) => setTimeout(r, 50))) {
    said = (await rowOf(client, id)).attention;
    if (said === attention) break;
  }
  return said;
}

describe("stop signals", () => {
  const signalId = uuid();

  it("anybody may raise one; it suspends what its code says and is repeated without harm", async () => {
    const body = { id: signalId, code: "calf-hot", note: "since the flight" };
    const raised = await assistant.post(at(skater, "signals"), body);
    expect(raised.status).toBe(201);
    expect(outcomes(raised)).toEqual(new Set(["stop"]));
    expect(raised.body.stair.signals).toMatchObject([
      { code: "calf-hot", urgency: "same-day", scope: "plan", note: "since the flight" },
    ]);
    expect((await two.post(at(skater, "signals"), body)).body.repeated).toBe(true);
  });

  it("stands on the caseload of every process within a second", async () => {
    expect(await withinASecond(two, skater, "stop")).toBe("stop");
    expect(await withinASecond(one, skater, "stop")).toBe("stop");
    const { rows } = (await two.get("/api/caseload")).body as { rows: CaseloadRow[] };
    const place = rows.findIndex((row) => row.episodeId === skater);
    expect(rows.slice(0, place).every((row) => row.attention === "stop")).toBe(true);
  });

  it("a signal seen in one exercise needs that exercise, and one of this plan", async () => {
    const bare = await one.post(at(skater, "signals"), { id: uuid(), code: "gives-way" });
    expect(paths(bare)).toEqual(["/itemId"]);
    const foreign = { id: uuid(), code: "gives-way", itemId: squeezeOf("fencer") };
    expect(paths(await one.post(at(skater, "signals"), foreign))).toEqual(["/itemId"]);
    expect(paths(await one.post(at(skater, "signals"), { id: uuid(), code: "sneeze" }))).toContain("/code");
  });

  it("is cleared in writing, by somebody who may sign, once, and appends", async () => {
    const clearing = { id: uuid(), signalId, reason: "Doppler without a clot" };
    expect((await assistant.post(at(skater, "signal-clearances"), clearing)).status).toBe(403);
    expect(paths(await one.post(at(skater, "signal-clearances"), { ...clearing, reason: " " }))).toContain(
      "/reason",
    );
    const cleared = await one.post(at(skater, "signal-clearances"), clearing);
    expect(cleared.body.stair.signals).toEqual([]);
    expect(outcomes(cleared)).not.toContain("stop");
    const again = { ...clearing, id: uuid() };
    expect(paths(await two.post(at(skater, "signal-clearances"), again))).toEqual(["/signalId"]);
    const { entries } = (await two.get(at(skater, "record"))).body;
    expect(entries.map((entry: { kind: string }) => entry.kind)).toContain("signal");
    expect(JSON.stringify(entries)).toContain("Doppler without a clot");
  });
});

describe("a session on its way", () => {
  it("is kept for every device, the latest wins, and is gone once recorded", async () => {
    const id = uuid();
    const draft = (painBefore: number) => ({ id, body: { id, painBefore, items: [] } });
    expect((await assistant.post(at(fencer, "session-draft"), draft(1))).status).toBe(201);
    await one.post(at(fencer, "session-draft"), draft(3));
    const kept = (await two.get(at(fencer, "session-draft"))).body.draft;
    expect(kept).toMatchObject({ id, body: { painBefore: 3 } });
    const session = squeezeSession("fencer", { id });
    expect((await one.post(at(fencer, "sessions"), session)).status).toBe(201);
    expect((await two.get(at(fencer, "session-draft"))).body.draft).toBeNull();
  });

  it("more work than the minutes allow is refused with the least it takes", async () => {
    const fast = await one.post(
      at(fencer, "sessions"),
      squeezeSession("fencer", { minutes: 1 }, { holdSeconds: 60 }),
    );
    expect(fast.status).toBe(422);
    expect(fast.body.problems).toEqual([
      { path: "/minutes", problem: "is less than the 5 minutes that this work takes at least" },
    ]);
  });

  it("sets that contradict the exercise are refused by their path", async () => {
    const both = squeezeSession("fencer", {}, { side: "left" });
    expect(paths(await one.post(at(fencer, "sessions"), both))).toContain("/items/0/sets/0/side");
    const turned = squeezeSession("fencer", {}, { settings: { "no-such-knob": 3 } });
    const path = paths(await one.post(at(fencer, "sessions"), turned))?.[0];
    expect(path).toMatch(/^\/items\/0\/sets\/0\/settings/);
  });

  it("what was done outside the plan stands in the record and not in the plan", async () => {
    const sets = squeezeSession("fencer").items[0]?.sets.map(
      ({ forceN: _n, holdSeconds: _s, ...set }) => set,
    );
    const unplanned = [
      {
        itemId: uuid(),
        exerciseId: "back-extension",
        variantId: "back-extension-bench",
        sets: sets?.map((set) => ({ ...set, reps: 10 })),
      },
    ];
    const planned = (await one.get(`/api/episodes/${fencer}`)).body.items.length;
    const session = squeezeSession("fencer", { occurredAt: "2026-03-10T08:55:00.000Z" });
    const done = await one.post(at(fencer, "sessions"), { ...session, unplanned });
    expect(done.status).toBe(201);
    expect((await one.get(`/api/episodes/${fencer}`)).body.items).toHaveLength(planned);
    const unknown = [{ ...unplanned[0], itemId: uuid(), variantId: "no-such" }];
    const refused = await one.post(at(fencer, "sessions"), {
      ...squeezeSession("fencer"),
      unplanned: unknown,
    });
    expect(paths(refused)).toEqual(["/unplanned/0/variantId"]);
  });

  it("a correction takes the place of a session once; the first stays in the record, judged no more", async () => {
    const first = squeezeSession("fencer", { painBefore: 0 }, { painDuring: 8 });
    expect((await one.post(at(fencer, "sessions"), first)).status).toBe(201);
    expect(outcomes(await one.get(`/api/episodes/${fencer}`))).toContain("ease");
    const right = squeezeSession("fencer", { painBefore: 0, supersedes: first.id }, { painDuring: 1 });
    const corrected = await two.post(at(fencer, "sessions"), right);
    expect(corrected.status).toBe(201);
    expect(outcomes(await one.get(`/api/episodes/${fencer}`))).not.toContain("ease");
    const twice = squeezeSession("fencer", { supersedes: first.id });
    expect(paths(await one.post(at(fencer, "sessions"), twice))).toEqual(["/supersedes"]);
    expect(paths(await one.post(at(fencer, "sessions"), { ...twice, supersedes: uuid() }))).toEqual([
      "/supersedes",
    ]);
    const file = (await one.get(at(fencer, "case"))).body;
    const ids = file.sessions.map((session: { id: string }) => session.id);
    expect(ids).toEqual(expect.arrayContaining([first.id, right.id]));
  });
});

describe("two clinicians at once", () => {
  it("one signature stands; the other is told what changed, and nothing of theirs is half-written", async () => {
    const stair = (await one.get(`/api/episodes/${skater}`)).body;
    const item = stair.items[0];
    const change = (id: string) => ({
      id,
      itemId: item.itemId,
      expectedVersion: stair.version,
      action: "refuse",
      reason: "Not today",
    });
    const replies = await Promise.all([
      one.post(at(skater, "decisions"), change(uuid())),
      two.post(at(skater, "decisions"), change(uuid())),
    ]);
    expect(replies.map((r) => r.status).sort()).toEqual([201, 409]);
    const { entries } = (await one.get(at(skater, "record"))).body;
    const signed = entries.filter((entry: { kind: string; at: string }) => {
      return entry.kind === "decision" && entry.at >= "2026-03-10";
    });
    expect(signed).toHaveLength(1);
  });

  it("a proposal that the record has overtaken is not signed", async () => {
    const before = (await one.get(`/api/episodes/${fencer}`)).body;
    const later = squeezeSession("fencer", { occurredAt: "2026-03-10T08:58:00.000Z" }, { painDuring: 7 });
    await two.post(at(fencer, "sessions"), later);
    const stale = {
      id: uuid(),
      itemId: squeezeOf("fencer"),
      expectedVersion: before.version,
      action: "accept",
    };
    const reply = await one.post(at(fencer, "decisions"), stale);
    expect(reply.status).toBe(409);
    expect(reply.body.changed.stair.version).toBeGreaterThan(before.version);
    expect(outcomes({ ...reply, body: reply.body.changed })).toContain("ease");
  });
});

describe("suspects, schools, documents, replay", () => {
  it("a reaction is traced only to what was done that day", async () => {
    const body = { id: uuid(), trainingDate: "2026-03-01", itemId: squeezeOf("fencer"), reason: "because" };
    expect(paths(await one.post(at(fencer, "suspects"), body))).toEqual(["/itemId"]);
    expect((await assistant.post(at(fencer, "suspects"), body)).status).toBe(403);
  });

  it("schools side by side: every school, every day, and the day on which they part", async () => {
    const { rows } = (await one.get("/api/caseload")).body as { rows: CaseloadRow[] };
    const rower = rows.find((row) => row.person.familyName === "Holloway")?.episodeId ?? "";
    const { items } = (await one.get(`/api/episodes/${rower}`)).body;
    const compared = await Promise.all(
      items.map((item: { itemId: string }) => one.get(`${at(rower, "schools")}?item=${item.itemId}`)),
    );
    const parted = (compared as Reply[]).find(({ body }) => body.partedOn !== null)?.body;
    expect(parted.schools.map((s: { school: string }) => s.school)).toHaveLength(4);
    const said = parted.schools.map(
      (s: { verdicts: { date: string; outcome: string }[] }) =>
        s.verdicts.find(({ date }) => date === parted.partedOn)?.outcome,
    );
    expect(new Set(said).size).toBeGreaterThan(1);
    expect((await one.get(`${at(rower, "schools")}?item=${uuid()}`)).status).toBe(404);
  });

  it("a document is signed by somebody who may, with the text it was made from", async () => {
    const body = { id: uuid(), kind: "visit-note", body: "As edited.", proposed: "As made." };
    expect((await assistant.post(at(fencer, "documents"), body)).status).toBe(403);
    expect((await one.post(at(fencer, "documents"), body)).status).toBe(201);
    expect(paths(await one.post(at(fencer, "documents"), { ...body, id: uuid(), body: " " }))).toContain(
      "/body",
    );
    const { entries } = (await two.get(at(fencer, "record"))).body;
    expect(JSON.stringify(entries)).toContain("As edited.");
  });

  it("every signed proposal of the whole demo comes out of its record again", async () => {
    const { rows } = (await one.get("/api/caseload")).body as { rows: CaseloadRow[] };
    const replays = await Promise.all(rows.map((row) => two.get(at(row.episodeId, "replay"))));
    const decisions = replays.flatMap(({ body }) => body.decisions as { same: boolean }[]);
    expect(decisions.length).toBeGreaterThan(20);
    expect(decisions.filter(({ same }) => !same)).toEqual([]);
  });
});

describe("the caseload when only time has passed", () => {
  it("says on the next morning what the record says then, within a second of being asked, at every process", async () => {
    const before = (await one.get("/api/caseload")).body.rows as CaseloadRow[];
    for (const days of [1, 9]) {
      servers.setClock(`${addDays("2026-03-10", days)}T07:00:00.000Z`);
      one = await signedIn(servers.urls[0] as string);
      two = one.at(servers.urls[1] as string);
      await new Promise((resolve) => setTimeout(resolve, 1000));
      const [here, there] = await Promise.all([one.get("/api/caseload"), two.get("/api/caseload")]);
      expect(there.body.rows).toEqual(here.body.rows);
      const said = here.body.rows as CaseloadRow[];
      expect(said.map((row) => row.attention)).not.toEqual(before.map((row) => row.attention));
      for (const row of said.slice(0, 6)) {
        const stair = (await one.get(`/api/episodes/${row.episodeId}`)).body;
        const stopped = stair.items.some(
          (i: { proposal: { outcome: string } }) => i.proposal.outcome === "stop",
        );
        expect(row.attention === "stop").toBe(stopped || stair.signals.length > 0);
        expect(row.daysSinceOnset).toBe(stair.daysSinceOnset);
      }
    }
    const quiet = (await one.get("/api/caseload")).body.rows as CaseloadRow[];
    expect(quiet.some((row) => row.attention === "quiet" || row.attention === "ease")).toBe(true);
  });
});
