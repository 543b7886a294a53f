import mysql from "mysql2/promise";
import Papa from "papaparse";
import { beforeAll, describe, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import { packTrace, unpackTrace } from "~/core/device/pack-trace";
import { standInTrial } from "~/core/device/stand-in";
import { stillTemplate } from "~/core/measure/still-template";
import { at, atClinic, begin } from "~tests/harness/at-clinic";
import { signedIn, type Reply } from "~tests/harness/client";

/** What devices told, kept with its result; tables of results, in and out. */
const clinic = atClinic();
const today = "2026-03-10";
const samples = standInTrial({ kind: "dynamometer", event: "clean", peak: 320, seed: 1 });
const about = { device: "Stand-in dynamometer", unit: "N", sampleHz: 1000 } as const;
let id = "";

const trace = (trial: number, over: object = {}) => ({
  id: uuid(),
  trial,
  ...packTrace(samples, about),
  ...over,
});
const force = (trials: number[], more: object = {}) => ({
  id: uuid(),
  measure: "knee-extension-force",
  side: "left",
  trials,
  ...more,
});
const visit = (results: object[], takenOn = today) => ({ id: uuid(), takenOn, results });
const paths = ({ body }: Reply) => (body.problems ?? []).map(({ path }: { path: string }) => path);
const traces = async () =>
  (await clinic.client.get(at(id, "traces?measure=knee-extension-force"))).body.traces;

beforeAll(async () => {
  id = await begin(clinic, ["kneecap-pain", "capacity", "clam-60"], { onsetOn: "2026-01-10" });
});

describe("traces", () => {
  it("are kept with the trial they belong to, and come back as they were told", async () => {
    const body = visit([force([318, 320], { traces: [trace(0), trace(1)] })]);
    const reply = await clinic.client.post(at(id, "measures"), body);
    expect(reply.body.problems ?? []).toEqual([]);
    expect((await clinic.client.post(at(id, "measures"), body)).body.repeated).toBe(true);
    const told = await traces();
    expect(
      told.map((one: { trial: number; value: number; side: string }) => [one.trial, one.value, one.side]),
    ).toEqual([
      [0, 318, "left"],
      [1, 320, "left"],
    ]);
    const back = unpackTrace(told[0]) ?? [];
    expect(back.length).toBe(samples.length);
    expect(Math.max(...back.map((sample, n) => Math.abs(sample - (samples[n] ?? NaN))))).toBeLessThan(0.05);
    const lead = await signedIn(clinic.servers.urls[0] as string, "lead");
    const person = (await lead.get(at(id, "person-file"))).body;
    expect(person.episodes[0].traces).toHaveLength(2);
  });

  it("of no trial, twice of one, or that are none are refused, and nothing of the visit is kept", async () => {
    const before = (await traces()).length;
    const bad = visit([force([300], { traces: [trace(1), trace(0, { data: "AAAA" }), trace(0)] })]);
    const reply = await clinic.client.post(at(id, "measures"), bad);
    expect(reply.status).toBe(422);
    expect(paths(reply)).toEqual([
      "/results/0/traces/0/trial",
      "/results/0/traces/1/data",
      "/results/0/traces/2/trial",
    ]);
    expect(await traces()).toHaveLength(before);
  });

  it("an id that is used already, of a trace, a result or a later day of a table, is a conflict; nothing is kept", async () => {
    const hip = { side: "right", measure: "hip-abduction-force" };
    const body = visit([force([301], { ...hip, traces: [trace(0)] })], "2026-03-01");
    expect((await clinic.client.post(at(id, "measures"), body)).status).toBe(201);
    const [used] = body.results as [{ id: string; traces: { id: string }[] }];
    const before = (await clinic.client.get(at(id, "results-table"))).body;
    const again = [
      visit([force([302], { ...hip, traces: [trace(0, { id: used.traces[0]?.id })] })]),
      visit([force([302], { ...hip, id: used.id })]),
    ];
    for (const one of again) expect((await clinic.client.post(at(id, "measures"), one)).status).toBe(409);
    const table = [
      visit([force([303])], "2026-03-02"),
      { ...visit([force([303])], "2026-03-03"), id: body.id },
    ];
    expect((await clinic.client.post(at(id, "imports"), { visits: table })).status).toBe(409);
    expect((await clinic.client.get(at(id, "results-table"))).body).toBe(before);
  });

  it("of a result that was withdrawn are drawn no more", async () => {
    const body = visit([force([300], { side: "right", traces: [trace(0)] })]);
    await clinic.client.post(at(id, "measures"), body);
    const targetId = (body.results[0] as { id: string }).id;
    const voided = { id: uuid(), kind: "result", targetId, reason: "Somebody else's" };
    expect((await clinic.client.post(at(id, "voidings"), voided)).body.problems ?? []).toEqual([]);
    expect((await traces()).filter((one: { side: string }) => one.side === "right")).toEqual([]);
  });
});

describe("stills", () => {
  const size = { width: 300, height: 600 };
  const points = stillTemplate({ view: "front", stance: "left", facing: "towards" }, size);
  const segment = (kind: number, ...bytes: number[]) => [0xff, kind, 0, bytes.length + 2, ...bytes];
  const jpeg = (...parts: number[][]) =>
    Buffer.from([0xff, 0xd8, ...parts.flat(), ...segment(0xda, 0, 0), 1, 2, 3]).toString("base64");
  const picture = jpeg(segment(0xe0, 1, 2));
  const angle = { id: "", measure: "frontal-angle", side: "left", trials: [12] };
  const withStill = (still: object) => ({
    ...visit([{ ...angle, id: uuid() }]),
    stills: [{ id: uuid(), points, ...size, ...still }],
  });
  const stills = async () => (await clinic.client.get(at(id, "stills"))).body.stills;

  it("are kept as points, and with their picture where it comes along; in the database it is sealed", async () => {
    const again = { ...points, knee: { x: points.knee.x + 3, y: points.knee.y } };
    for (const body of [withStill({}), withStill({ again, picture })]) {
      const reply = await clinic.client.post(at(id, "measures"), body);
      expect(reply.body.problems ?? []).toEqual([]);
    }
    const [latest, first] = await stills();
    expect(latest).toMatchObject({ points, again, picture, takenOn: today });
    expect(first).toMatchObject({ points, picture: null });
    const db = await mysql.createConnection(clinic.servers.database.ownerUrl);
    const [rows] = await db.query<mysql.RowDataPacket[]>("SELECT picture FROM result_stills WHERE id = ?", [
      latest.id,
    ]);
    await db.end();
    const kept = rows[0]?.["picture"] as Buffer;
    expect(kept.includes(Buffer.from(picture, "base64"))).toBe(false);
  });

  it("that say where they were taken, are none, or have points that cannot be, are refused whole", async () => {
    const before = await stills();
    const tries: [object, string][] = [
      [{ picture: jpeg(segment(0xe1, 0x45, 0x78)) }, "/stills/0/picture"],
      [{ picture: Buffer.from("no picture").toString("base64") }, "/stills/0/picture"],
      [{ points: { ...points, knee: points.hip } }, "/stills/0/points/knee"],
      [{ again: stillTemplate({ view: "side", facing: "left" }, size) }, "/stills/0/again"],
    ];
    for (const [still, where] of tries) {
      const reply = await clinic.client.post(at(id, "measures"), withStill(still));
      expect(reply.status).toBe(422);
      expect(paths(reply)).toEqual([where]);
    }
    expect(await stills()).toEqual(before);
  });
});

describe("a table of results", () => {
  const days = (over: (n: number) => object = () => ({})) =>
    [1, 2, 3].map((n) => ({ ...visit([force([300 + n], { side: "right" })], `2026-02-0${n}`), ...over(n) }));

  it("is recorded whole, once, and stands in the table that comes out", async () => {
    const body = { visits: days() };
    const reply = await clinic.client.post(at(id, "imports"), body);
    expect(reply.body.problems ?? []).toEqual([]);
    expect(reply.status).toBe(201);
    expect((await clinic.client.post(at(id, "imports"), body)).body.repeated).toBe(true);
    const told = await clinic.client.get(at(id, "results-table"));
    const { data } = Papa.parse<Record<string, string>>(String(told.body), { header: true });
    const ours = data.filter(({ taken_on: on = "" }) => on < "2026-02-10");
    expect(
      ours.map((line) => [line.taken_on, line.measure, line.side, line.trial, line.trial_value, line.unit]),
    ).toEqual(
      [1, 2, 3].map((n) => [`2026-02-0${n}`, "knee-extension-force", "right", "1", String(300 + n), "N"]),
    );
    const dictionary = Papa.parse<Record<string, string>>(
      String((await clinic.client.get(at(id, "results-dictionary"))).body),
      { header: true },
    ).data;
    const named = dictionary.filter(({ kind }) => kind === "column").map(({ name }) => name);
    expect(named).toEqual(Object.keys(data[0] ?? {}));
    expect(dictionary.find(({ name }) => name === "knee-extension-force")).toMatchObject({
      unit: "N",
      value_is: "best",
    });
  });

  it("with one bad cell, a day to come or a day twice is refused whole", async () => {
    const table = async () => (await clinic.client.get(at(id, "results-table"))).body as string;
    const before = await table();
    const tries: [object[], string][] = [
      [days((n) => (n === 2 ? { results: [force([9999])] } : {})), "/visits/1/results/0/trials/0"],
      [days((n) => (n === 3 ? { takenOn: "2026-04-01" } : {})), "/visits/2/takenOn"],
      [days(() => ({ takenOn: "2026-02-20" })), "/visits/1/takenOn"],
    ];
    for (const [visits, at0] of tries) {
      const reply = await clinic.client.post(at(id, "imports"), { visits });
      expect(reply.status).toBe(422);
      expect(paths(reply)).toContain(at0);
    }
    expect(await table()).toBe(before);
  });
});
