import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import type { Intake } from "~/core/intake/intake";
import type { Placing } from "~/core/intake/placing";
import { bodyPositions } from "~/core/exercise/body";
import { someIntake } from "~tests/builders/intake";
import { demoClinic } from "~demo/clinic";
import { startServers, type Servers } from "~tests/harness/servers";
import { signedIn, type Client, type Reply } from "~tests/harness/client";

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
const placingOf = async (intake: object) =>
  (await one.post("/api/intakes/placing", { intake })).body as Placing;
const itemsOf = ({ lanes }: Placing) =>
  lanes.flatMap(({ chosen }) =>
    chosen ? [{ id: uuid(), exerciseId: chosen.exerciseId, variantId: chosen.variantId }] : [],
  );
const caseloadSize = async () => (await one.get("/api/caseload")).body.rows.length;

describe("a red flag", () => {
  it("ends it, says how urgent and whom to call, and keeps nothing", async () => {
    const before = await caseloadSize();
    const intake = someIntake("kneecap-pain", { redFlags: ["bone-stress", "saddle-bladder"] });
    for (const reply of [
      await one.post("/api/intakes/placing", { intake }),
      await one.post("/api/intakes", {
        id: uuid(),
        intake,
        stage: "calm",
        items: [{ id: uuid(), exerciseId: "clam", variantId: "clam-30" }],
      }),
    ]) {
      expect(reply.status).toBe(422);
      expect(reply.body).toMatchObject({
        type: "/problems/red-flag",
        title: `Stop here: ${demoClinic.calls.emergency}`,
        changed: { urgency: "emergency" },
      });
      expect(reply.body.title).toContain("112");
    }
    expect(await caseloadSize()).toBe(before);
  });
});

describe("an intake that cannot be", () => {
  it.each([
    ["no side", { involvedSide: undefined }, "/intake/involvedSide"],
    ["no days", { daysPerWeek: 0 }, "/intake/daysPerWeek"],
    ["no minutes", { minutesPerDay: undefined }, "/intake/minutesPerDay"],
    ["a rating of 11", { tasks: [{ text: "Stairs", rating: 11 }] }, "/intake/tasks/0/rating"],
    [
      "a name of blanks",
      { person: { givenName: " ", familyName: "X", bornOn: "1990-01-01", activity: "Rower" } },
      "/intake/person/givenName",
    ],
    ["a target in the past", { targetOn: "2026-03-01" }, "/targetOn"],
    ["a pathway nobody has", { pathway: "elbow" }, "/pathway"],
  ])("%s is refused at its field", async (_what, over, path) => {
    const reply = await one.post("/api/intakes/placing", {
      intake: { ...someIntake("kneecap-pain"), ...over },
    });
    expect(reply.status).toBe(422);
    expect(paths(reply)).toContain(path);
  });
});

describe("signing", () => {
  const intake = someIntake("meniscus-repair", {
    limits: [
      {
        kind: "range-limit",
        joint: "knee",
        mostDeg: 60,
        origin: "surgeon",
        says: "60° for two weeks",
        until: "2026-03-21",
      },
    ],
    kit: ["wall", "chair", "towel", "pillow"],
    targetOn: "2026-12-01",
    school: "pain-free",
  });

  it("makes person, episode, limits, stage and plan at once, and once", async () => {
    const placing = await placingOf(intake);
    expect(placing.stage).toBe("protect");
    const body = { id: uuid(), intake, stage: placing.stage, items: itemsOf(placing) };
    expect((await assistant.post("/api/intakes", body)).status).toBe(403);
    const replies = await Promise.all([one.post("/api/intakes", body), two.post("/api/intakes", body)]);
    expect(replies.map((r) => r.status)).toEqual([201, 201]);
    expect(replies.map((r) => r.body.repeated).sort()).toEqual([false, true]);
    const stair = (await two.get(`/api/episodes/${body.id}`)).body;
    expect(stair).toMatchObject({ stage: "protect", school: "pain-free", involvedSide: "left" });
    expect(stair.items).toHaveLength(body.items.length);
    expect(stair.restrictions.map((r: { says: string }) => r.says)).toEqual(
      expect.arrayContaining(["60° for two weeks", "knee bend stays within 90° for six weeks"]),
    );
    const said = stair.restrictions.map((r: { says: string }) => r.says);
    expect(said).toEqual([...new Set(said)]);
    const plan = (await two.get(`/api/episodes/${body.id}/plan`)).body;
    expect(plan.emptyLanes).toEqual(placing.lanes.filter((l) => !l.chosen).map((l) => l.lane));
    const deep = await one.post(`/api/episodes/${body.id}/items`, {
      id: uuid(),
      exerciseId: "seated-knee-bend",
      variantId: "seated-knee-bend-own",
    });
    expect(deep.body.problems).toContainEqual({
      path: "/variantId",
      problem: "is blocked: 60° for two weeks",
    });
  });

  it("another stage than the one proposed needs a reason; what a limit forbids is not lifted by one", async () => {
    const placing = await placingOf(intake);
    const body = { id: uuid(), intake, stage: "strength", items: itemsOf(placing).slice(0, 1) };
    expect(paths(await one.post("/api/intakes", body))).toContain("/reason");
    const squat = { id: uuid(), exerciseId: "two-leg-squat", variantId: "squat-bar" };
    const blocked = await one.post("/api/intakes", {
      ...body,
      stage: placing.stage,
      reason: "Strong before",
      items: [squat],
    });
    expect(paths(blocked)).toEqual(["/items/0/variantId"]);
    expect(paths(await one.post("/api/intakes", { ...body, stage: "nowhere" }))).toEqual(["/stage"]);
  });
});

describe("a second episode", () => {
  it("stands beside the first, under the person as they are kept; nobody's episode is refused", async () => {
    const sign = async (intake: Intake, beside?: string) => {
      const placing = await placingOf(intake);
      const body = { id: uuid(), intake, stage: placing.stage, items: itemsOf(placing), beside };
      return { id: body.id, reply: await one.post("/api/intakes", body) };
    };
    const person = { givenName: "Idony", familyName: "Testgate", bornOn: "1979-01-30", activity: "Baker" };
    const first = await sign(someIntake("kneecap-pain", { person }));
    expect(first.reply.status).toBe(201);
    const second = await sign(someIntake("ankle-and-calf"), first.id);
    expect(second.reply.status).toBe(201);
    const names = (await one.get("/api/caseload")).body.rows.filter(
      (row: { person: { familyName: string } }) => row.person.familyName === "Testgate",
    );
    expect(names).toHaveLength(2);
    const nowhere = await sign(someIntake("ankle-and-calf"), uuid());
    expect(paths(nowhere.reply)).toEqual(["/beside"]);
  });
});

describe("circumstances that change", () => {
  it("name the items that no longer fit, keep them, and refuse what cannot be", async () => {
    const intake = someIntake("kneecap-pain");
    const placing = await placingOf(intake);
    const id = uuid();
    await one.post("/api/intakes", { id, intake, stage: placing.stage, items: itemsOf(placing) });
    const post = (over: object) =>
      one.post(`/api/episodes/${id}/circumstances`, {
        id: uuid(),
        reason: "Moved away from the gym",
        circumstances: {
          limits: [],
          reachesFloor: true,
          daysPerWeek: 2,
          minutesPerDay: 20,
          kit: [],
          cannotPositions: [],
          ...over,
        },
      });
    const before = (await one.get(`/api/episodes/${id}/plan`)).body;
    const blocked = (plan: typeof before) =>
      plan.items.filter((item: { blockedBy: string | null }) => item.blockedBy !== null).length;
    expect(blocked(before)).toBe(0);
    const after = await post({ cannotPositions: bodyPositions });
    expect(after.status).toBe(201);
    expect(after.body.plan.circumstances).toMatchObject({ daysPerWeek: 2, minutesPerDay: 20 });
    expect(after.body.plan.items).toHaveLength(before.items.length);
    expect(blocked(after.body.plan)).toBe(before.items.length);
    const twisted = {
      kind: "note",
      origin: "surgeon",
      says: "rest",
      from: "2026-05-01",
      until: "2026-04-01",
    };
    expect(paths(await post({ limits: [twisted], kit: ["trapeze"] }))).toEqual([
      "/circumstances/limits/0/until",
      "/circumstances/kit/0",
    ]);
  });
});

describe("a draft", () => {
  it("is kept as far as it has come, found on another device, and gone once signed", async () => {
    const intake = someIntake("stairs-again");
    const placing = await placingOf(intake);
    const id = uuid();
    const draft = {
      id,
      label: "R. Testrup",
      body: { pathway: "stairs-again", person: { givenName: "Runa" } },
    };
    expect((await assistant.post("/api/intakes/drafts", draft)).status).toBe(201);
    expect(
      (await one.post("/api/intakes/drafts", { ...draft, body: { ...draft.body, cause: "weakness" } }))
        .status,
    ).toBe(201);
    const found = async () =>
      (await two.get("/api/intakes/drafts")).body.drafts.filter((d: { id: string }) => d.id === id);
    expect(await found()).toMatchObject([{ label: "R. Testrup", body: { cause: "weakness" } }]);
    expect(
      (await one.post("/api/intakes", { id, intake, stage: placing.stage, items: itemsOf(placing) })).status,
    ).toBe(201);
    expect(await found()).toEqual([]);
    // A save that was still on its way when the intake was signed.
    expect((await one.post("/api/intakes/drafts", draft)).status).toBe(201);
    expect(await found()).toEqual([]);
  });

  it("is thrown away by whoever records, in one's own clinic; a second time nothing is to be done", async () => {
    const draft = { id: uuid(), label: "Begun by mistake", body: {} };
    const isThere = async () =>
      (await one.get("/api/intakes/drafts")).body.drafts.some((d: { id: string }) => d.id === draft.id);
    expect((await one.post("/api/intakes/drafts", draft)).status).toBe(201);
    expect(await isThere()).toBe(true);
    for (let n = 0; n < 2; n += 1) {
      const { status, body } = await assistant.post("/api/intakes/drafts/dropped", { id: draft.id });
      expect([status, body]).toEqual([200, { id: draft.id }]);
    }
    expect(await isThere()).toBe(false);
    // Undone: kept again under its id.
    expect((await one.post("/api/intakes/drafts", draft)).status).toBe(201);
    expect(await isThere()).toBe(true);
  });
});

describe("whom to call", () => {
  const calls = {
    emergency: "Call 112.",
    "same-day": "Duty line 555 0199.",
    soon: "Write to the sports physician.",
    review: "Ask at the next session.",
  };

  it("is read by everybody and set by the clinic's lead alone", async () => {
    const body = { id: uuid(), calls };
    for (const client of [one, assistant]) {
      expect((await client.get("/api/clinic/calls")).body).toEqual({
        calls: demoClinic.calls,
        maySet: false,
      });
      const refused = await client.post("/api/clinic/calls", body);
      expect([refused.status, refused.body.title]).toEqual([403, "Only the clinic's lead may set this."]);
    }
    const lead = await signedIn(servers.urls[0] as string, "lead");
    expect((await lead.get("/api/clinic/calls")).body.maySet).toBe(true);
  });

  it("needs words for every urgency, is written once, and holds at every process at once", async () => {
    const lead = await signedIn(servers.urls[0] as string, "lead");
    const wrong = await lead.post("/api/clinic/calls", { id: uuid(), calls: { ...calls, soon: "  " } });
    expect([wrong.status, paths(wrong)]).toEqual([422, ["/calls/soon"]]);
    const { review: _left, ...three } = calls;
    expect(paths(await lead.post("/api/clinic/calls", { id: uuid(), calls: three }))).toEqual([
      "/calls/review",
    ]);
    const body = { id: uuid(), calls };
    const twins = await Promise.all([
      lead.post("/api/clinic/calls", body),
      lead.at(servers.urls[1] as string).post("/api/clinic/calls", body),
    ]);
    expect(twins.map(({ status }) => status)).toEqual([201, 201]);
    expect(twins.map((reply) => reply.body.repeated).sort()).toEqual([false, true]);
    expect((await two.get("/api/clinic/calls")).body.calls).toEqual(calls);
    const intake = someIntake("kneecap-pain", { redFlags: ["calf-hot"] });
    expect((await two.post("/api/intakes/placing", { intake })).body.title).toBe(
      "Stop here: Duty line 555 0199.",
    );
  });
});
