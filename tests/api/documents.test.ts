import mysql from "mysql2/promise";
import { v7 as uuid } from "uuid";
import { afterAll, beforeAll, expect, it } from "vitest";
import type { CaseloadRow } from "~/contract/clinic";
import type { StairView } from "~/contract/episode";
import type { GateView } from "~/contract/gate";
import type { RecordView } from "~/contract/record";
import { handoverLetter, visitNote } from "~/messages/documents";
import { startServers, type Servers } from "~tests/harness/servers";
import { signedIn, type Client } from "~tests/harness/client";
import { fencer, skater, squeezeSession } from "~tests/harness/story";

let servers: Servers;
let client: Client;

beforeAll(async () => {
  servers = await startServers(1);
  client = await signedIn(servers.urls[0] as string);
});
afterAll(() => servers.stop());

const read = async <T>(id: string, what = "") => (await client.get(`/api/episodes/${id}${what}`)).body as T;
const from = {
  to: "Dr Ashgrove",
  clinic: "Tarn Street",
  name: "Jorun Vask",
  role: "clinician",
  bornOn: "1990-05-17",
} as const;
const note = async (id: string) =>
  visitNote(await read<StairView>(id), await read<RecordView>(id, "/record"));

it("a note and a letter of everybody in the demo are whole sentences about that person", async () => {
  const { rows } = (await client.get("/api/caseload")).body as { rows: CaseloadRow[] };
  expect(rows.length).toBeGreaterThan(20);
  for (const { episodeId, person } of rows) {
    const [stair, gate] = [await read<StairView>(episodeId), await read<GateView>(episodeId, "/gate")];
    const letter = handoverLetter(stair, gate, from);
    for (const text of [letter, visitNote(stair, await read<RecordView>(episodeId, "/record"))]) {
      expect(text).toContain(`${person.givenName} ${person.familyName}`);
      expect(text).not.toMatch(/undefined|NaN|null|\{|\}|\[object/);
    }
    for (const words of ["Tarn Street", "To: Dr Ashgrove", "Born 17 May 1990.", "Jorun Vask, clinician"])
      expect(letter).toContain(words);
    for (const item of stair.items) expect(letter).toContain(item.exercise.name);
    for (const { name, required, passes } of gate.gate?.criteria ?? [])
      if (required && !passes) expect(letter).toContain(name);
    for (const { says } of stair.restrictions) expect(letter).toContain(says);
  }
});

it("a note tells today's session with its sets, and not one that was corrected", async () => {
  expect(await note(fencer)).toContain("No session today.");
  const first = squeezeSession("fencer", { painBefore: 2 }, { forceN: 118 });
  await client.post(`/api/episodes/${fencer}/sessions`, first);
  expect(await note(fencer)).toContain("Ball squeeze: 5 × 10 s at 118 N; pain 1, effort 6");
  const right = squeezeSession("fencer", { painBefore: 2, supersedes: first.id }, { forceN: 108 });
  await client.post(`/api/episodes/${fencer}/sessions`, right);
  const corrected = await note(fencer);
  expect(corrected).toContain("at 108 N");
  expect(corrected).not.toContain("118 N");
});

it("a note tells what was measured today, and not what was voided", async () => {
  const visit = {
    id: "0195717b-6a00-7000-8000-0000000000f1",
    takenOn: "2026-03-10",
    results: [{ id: "0195717b-6a00-7000-8000-0000000000f2", measure: "pain-now", side: "none", trials: [4] }],
  };
  expect((await client.post(`/api/episodes/${fencer}/measures`, visit)).status).toBe(201);
  expect(await note(fencer)).toMatch(/Measured today\n- Pain now.*: 4/);
  const voiding = {
    id: "0195717b-6a00-7000-8000-0000000000f3",
    kind: "result",
    targetId: visit.results[0]?.id,
    reason: "Another patient's",
  };
  await client.post(`/api/episodes/${fencer}/voidings`, voiding);
  expect(await note(fencer)).not.toContain("Measured today");
});

it("a note names a signal that was raised, and what was signed today with its reason", async () => {
  const before = await read<StairView>(skater);
  const item = before.items[0];
  const decision = {
    id: "0195717b-6a00-7000-8000-0000000000d1",
    itemId: item?.itemId,
    expectedVersion: before.version,
    action: "refuse",
    reason: "The hall is closed this week",
  };
  expect((await client.post(`/api/episodes/${skater}/decisions`, decision)).status).toBe(201);
  const signal = { id: "0195717b-6a00-7000-8000-0000000000e1", code: "calf-hot" };
  expect((await client.post(`/api/episodes/${skater}/signals`, signal)).status).toBe(201);
  const text = await note(skater);
  expect(text).toContain("The hall is closed this week");
  expect(text).toContain(item?.exercise.name);
  expect(text).toMatch(/calf/i);
});

it("what stands as proposed beside a signed text was proposed by the record, whatever its sender says", async () => {
  const owner = await mysql.createConnection({ uri: servers.database.ownerUrl });
  const proposedOf = async (id: string) => {
    const [[row]] = await owner.query<mysql.RowDataPacket[]>("SELECT proposed FROM documents WHERE id = ?", [
      id,
    ]);
    return String(row?.["proposed"]);
  };
  const sign = async (more: object) => {
    const body = {
      id: uuid(),
      kind: "visit-note",
      body: "As it was signed.",
      proposed: "All is well.",
      ...more,
    };
    expect((await client.post(`/api/episodes/${skater}/documents`, body)).status).toBe(201);
    return proposedOf(body.id);
  };
  const own = await note(skater);
  for (const forged of [{}, { mark: "" }, { mark: "A".repeat(43) }]) expect(await sign(forged)).toBe(own);
  // What the page was given is kept as it was given, though the record has gone on since.
  const page = String((await client.get(`/episodes/${skater}/document?kind=visit-note`)).body);
  const mark = /&quot;mark&quot;:\[0,&quot;([\w-]{43})&quot;\]/.exec(page)?.[1];
  expect(mark).toBeDefined();
  await client.post(`/api/episodes/${skater}/school`, { id: uuid(), school: "pain-free", reason: "sore" });
  expect(await sign({ proposed: own, mark })).toBe(own);
  owner.destroy();
});
