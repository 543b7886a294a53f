import mysql from "mysql2/promise";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import { pushUp } from "~/catalogue/exercises/upper-body";
import type { CatalogueHit } from "~/contract/library";
import type { PlanItem } from "~/contract/plan";
import type { Exercise } from "~/core/exercise/exercise";
import { startServers, type Servers } from "~tests/harness/servers";
import { signedIn, type Client, type Reply } from "~tests/harness/client";
import { fencer } from "~tests/harness/story";

let servers: Servers;
let one: Client;
let two: Client;
let assistant: Client;

beforeAll(async () => {
  servers = await startServers(2);
  one = await signedIn(servers.urls[0] as string);
  two = one.at(servers.urls[1] as string);
  assistant = await signedIn(servers.urls[1] as string, "assistant");
});
afterAll(() => servers.stop());

const paths = (reply: Reply) => (reply.body.problems ?? []).map((p: { path: string }) => p.path);
const plan = async (client = one) => (await client.get(`/api/episodes/${fencer}/plan`)).body;
const add = (body: object, client = one) =>
  client.post(`/api/episodes/${fencer}/items`, { id: uuid(), ...body });

describe("the clinic's own exercises", () => {
  const own: Exercise = {
    ...pushUp,
    id: "wall-angel",
    name: "Wall slide of the arms",
    family: "wall-slide",
    leadsTo: [],
    variants: pushUp.variants.slice(0, 2).map((v, n) => ({ ...v, id: `wall-angel-${n}` })),
  };
  const save = (exercise: object, action = "add", client = one) =>
    client.post("/api/exercises", { id: uuid(), action, exercise });
  const find = async (client = one) =>
    (await client.get("/api/exercises?text=slide%20arms")).body.hits.map((h: CatalogueHit) => h.exerciseId);

  it("is refused with every fault by its path", async () => {
    const [first, second] = own.variants;
    const broken: [object, string][] = [
      [{ ...own, muscles: undefined }, "/exercise/muscles"],
      [{ ...own, lane: "elbows" }, "/exercise/lane"],
      [{ ...own, variants: [{ ...first, kit: ["anvil"] }] }, "/exercise/variants/0/kit/0"],
      [
        { ...own, variants: [{ ...first, settings: { ...first?.settings, wobble: 1 } }] },
        "/exercise/variants/0/settings/wobble",
      ],
      [
        { ...own, variants: [first, { ...second, settings: { ...second?.settings, laterality: "single" } }] },
        "/exercise/variants/1",
      ],
      [{ ...own, variants: [{ ...first, id: "clam-30" }] }, "/exercise/variants/0/id"],
      [{ ...own, id: "bridge" }, "/exercise/id"],
    ];
    for (const [exercise, path] of broken) expect(paths(await save(exercise))).toContain(path);
    expect((await save(own, "add", assistant)).status).toBe(403);
    expect(await find()).toEqual([]);
  });

  it("is found by every process as soon as it is saved, and can be prescribed", async () => {
    expect(await find(two)).toEqual([]);
    expect((await save(own)).status).toBe(201);
    expect(await find(two)).toEqual(["wall-angel", "wall-angel"]);
    expect((await add({ exerciseId: "wall-angel", variantId: "wall-angel-0" })).status).toBe(201);
    expect(paths(await save(own))).toEqual(["/exercise/id"]);
  });

  it("is revised and retired without touching the plans that use it", async () => {
    const renamed = { ...own, name: "Wall slide, both arms" };
    expect((await save(renamed, "revise")).status).toBe(201);
    const names = (await two.get("/api/exercises?text=slide%20arms")).body.hits.map(
      (h: CatalogueHit) => h.exerciseName,
    );
    expect(names).toContain("Wall slide, both arms");
    const retire = (action: string, client = one) =>
      client.post("/api/exercises/retirements", {
        id: uuid(),
        code: "wall-angel",
        action,
        reason: "Nobody uses it",
      });
    expect((await retire("retire", assistant)).status).toBe(403);
    expect((await retire("retire")).status).toBe(201);
    expect(await find(two)).toEqual([]);
    expect(paths(await retire("retire"))).toEqual(["/code"]);
    const kept = (await plan()).items.find((i: PlanItem) => i.exerciseId === "wall-angel");
    expect(kept).toMatchObject({ exerciseName: "Wall slide of the arms" });
    expect((await retire("restore")).status).toBe(201);
    expect(await find(two)).toContain("wall-angel");
    expect(
      paths(
        await one.post("/api/exercises/retirements", {
          id: uuid(),
          code: "x",
          action: "retire",
          reason: "none",
        }),
      ),
    ).toEqual(["/code"]);
  });

  it("a starting exercise can be retired for this clinic too", async () => {
    const body = { id: uuid(), code: "drop-jump", action: "retire", reason: "Not with our floor" };
    expect((await one.post("/api/exercises/retirements", body)).status).toBe(201);
    expect((await one.post("/api/exercises/retirements", body)).body).toMatchObject({ repeated: true });
    expect(
      (await two.get("/api/exercises?text=drop%20jump")).body.hits.map((h: CatalogueHit) => h.exerciseId),
    ).not.toContain("drop-jump");
  });

  it("goes out as a file and comes back, all or nothing, with faults by path", async () => {
    const file = (await one.get("/api/exercises/file")).body;
    expect(file.exercises.map((e: Exercise) => e.id)).toEqual(["wall-angel"]);
    const send = (exercises: object[]) =>
      one.post("/api/exercises/file", { id: uuid(), file: { ...file, exercises } });
    const [exercise] = file.exercises as [Exercise];
    const other = {
      ...exercise,
      id: "door-slide",
      variants: exercise.variants.map((v, n) => ({ ...v, id: `door-slide-${n}` })),
    };
    const bad = {
      ...other,
      id: "bad-slide",
      variants: [{ ...other.variants[0], id: "bad-0", kit: ["anvil"] }],
    };
    const refusedFile = await send([other, bad]);
    expect(paths(refusedFile)).toEqual(["/file/exercises/1/variants/0/kit/0"]);
    expect(paths(await send([other, other]))).toContain("/file/exercises/1/id");
    expect(paths(await one.post("/api/exercises/file", { id: uuid(), file: { exercises: [] } }))).toContain(
      "/file/format",
    );
    expect(
      (await one.get("/api/exercises?text=door%20slide")).body.hits.map((h: CatalogueHit) => h.exerciseId),
    ).not.toContain("door-slide");
    const taken = await send([exercise, other]);
    expect(taken.body).toMatchObject({ codes: ["wall-angel", "door-slide"] });
    expect((await one.get("/api/exercises/file")).body.exercises).toHaveLength(2);
  });

  it("keeps every version in the database", async () => {
    const db = await mysql.createConnection({ uri: servers.database.ownerUrl });
    const [rows] = await db.query<mysql.RowDataPacket[]>(
      "SELECT DISTINCT hash FROM definitions WHERE kind = 'exercise' AND code = 'wall-angel'",
    );
    await db.end();
    expect(rows).toHaveLength(2);
  });

  it("added by several at once under one code, at two processes, is there once, as one of them wrote it; the others are told", async () => {
    const rival = (n: number) => ({
      ...own,
      id: "band-walk-own",
      name: `Band walk ${n}`,
      variants: own.variants.map((v, i) => ({ ...v, id: `band-walk-own-${i}` })),
    });
    const replies = await Promise.all(
      [0, 1, 2, 3, 4, 5].map((n) => save(rival(n), "add", n % 2 ? two : one)),
    );
    expect(replies.map(({ status }) => status).sort()).toEqual([201, 422, 422, 422, 422, 422]);
    for (const reply of replies) if (reply.status === 422) expect(paths(reply)).toContain("/exercise/id");
    const kept = JSON.stringify((await two.get("/api/exercises/band-walk-own")).body);
    expect(kept).toContain(`Band walk ${replies.findIndex(({ status }) => status === 201)}`);
  });
});
