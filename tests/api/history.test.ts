import { beforeAll, describe, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import { add, at, atClinic, begin, limitsOf, operation, paths } from "~tests/harness/at-clinic";

/** What happened to somebody: signed, and what the clocks and limits count from. */
const clinic = atClinic();

describe("an operation", () => {
  it("entered after the intake brings its limits and starts the clocks anew", async () => {
    const id = await begin(clinic, ["stairs-again", "step", "bridge-two-legs"], { onsetOn: "2025-06-01" });
    expect(await limitsOf(clinic, id)).not.toContain("no jumping before week 16");
    expect((await clinic.client.get(`/api/episodes/${id}`)).body.surgery).toBeNull();
    const signed = await clinic.client.post(at(id, "events"), operation());
    expect(signed.body.problems ?? []).toEqual([]);
    expect(await limitsOf(clinic, id)).toContain("no jumping before week 16");
    const stair = (await clinic.client.get(`/api/episodes/${id}`)).body;
    expect(stair.surgery).toMatchObject({ on: "2026-03-06", daysSince: 4, procedures: ["Meniscus repair"] });
    expect(await add(clinic, id, "split-squat-rear-raised")).not.toBeNull();
    const { entries } = (await clinic.client.get(at(id, "record"))).body;
    expect(entries.find((e: { kind: string }) => e.kind === "event")).toMatchObject({
      event: "operation",
      on: "2026-03-06",
    });
  });

  it("what the plan has already and the operation bars is named at once", async () => {
    const id = await begin(clinic, ["kneecap-pain", "capacity", "split-squat-rear-raised"], {
      irritability: "low",
    });
    await clinic.client.post(at(id, "events"), operation());
    const { items } = (await clinic.client.get(at(id, "plan"))).body;
    expect(items[0].blockedBy).not.toBeNull();
  });

  it("of several procedures brings all their limits; the surgeon's sheet shortens one and writes the weight", async () => {
    const id = await begin(clinic, ["stairs-again", "step", "bridge-two-legs"]);
    const until = "2026-03-20";
    await clinic.client.post(
      at(id, "events"),
      operation({
        procedures: ["ligament-reconstruction", "meniscus-repair"],
        graft: "hamstring",
        ends: [{ procedure: "meniscus-repair", limit: "bend", until }],
        sheet: [
          {
            kind: "weight",
            mostShare: 0.5,
            origin: "surgeon",
            says: "half the weight for three weeks",
            until: "2026-03-26",
          },
        ],
      }),
    );
    const { limits } = (await clinic.client.get(at(id, "history"))).body;
    const of = (words: string) => limits.find((l: { says: string }) => l.says.includes(words));
    expect(of("hamstring graft")).toMatchObject({ origin: "procedure", until: "2026-05-28" });
    expect(of("within 90°")).toMatchObject({ origin: "surgeon", until });
    expect(of("half the weight")).toMatchObject({ origin: "surgeon" });
    expect(of("two legs only")).toBeUndefined();
    expect(await add(clinic, id, "stance-single-held")).toContain("half the weight");
  });

  it("that is only planned limits nothing, and lets nobody out of the stage before it", async () => {
    const surgery = { on: "2026-04-10", procedure: "cruciate ligament reconstruction", graft: "hamstring" };
    const id = await begin(clinic, ["ligament-reconstruction", "before-surgery", "bridge-two-legs"], {
      surgery,
    });
    expect(await limitsOf(clinic, id)).not.toContain("no jumping before week 12");
    const gate = (await clinic.client.get(at(id, "gate"))).body;
    expect(gate).toMatchObject({ surgeryOn: null, beforeSurgery: true });
    const move = {
      id: uuid(),
      expectedVersion: gate.version,
      action: "override",
      stage: "recover",
      reason: "Operated on abroad",
    };
    expect(paths(await clinic.client.post(at(id, "gate"), move))).toEqual(["/stage"]);
    const done = operation({ on: "2026-03-09", procedures: ["ligament-reconstruction"], graft: "hamstring" });
    expect((await clinic.client.post(at(id, "events"), done)).status).toBe(201);
    const now = (await clinic.client.get(at(id, "gate"))).body;
    expect(now).toMatchObject({ surgeryOn: "2026-03-09" });
    expect(
      (await clinic.client.post(at(id, "gate"), { ...move, id: uuid(), expectedVersion: now.version }))
        .status,
    ).toBe(201);
    expect(await limitsOf(clinic, id)).toContain("no jumping before week 12");
  });

  it("is corrected by a new entry, and taken back by one; both stay in the record", async () => {
    const id = await begin(clinic, ["stairs-again", "step", "bridge-two-legs"]);
    const first = operation();
    await clinic.client.post(at(id, "events"), first);
    const corrected = operation({
      on: "2026-02-20",
      supersedes: first.id,
      reason: "It was the 20th of February",
    });
    const signed = await clinic.client.post(at(id, "events"), corrected);
    expect(signed.body.history.events).toMatchObject([{ on: "2026-02-20" }]);
    expect((await clinic.client.get(`/api/episodes/${id}`)).body.surgery.daysSince).toBe(18);
    const back = {
      ...operation({ on: "2026-02-20", supersedes: corrected.id, withdrawn: true }),
      procedures: undefined,
    };
    const taken = await clinic.client.post(at(id, "events"), back);
    expect(taken.body.history.events).toEqual([]);
    expect((await clinic.client.get(`/api/episodes/${id}`)).body.surgery).toBeNull();
    expect(await limitsOf(clinic, id)).not.toContain("no jumping before week 16");
    const { entries } = (await clinic.client.get(at(id, "record"))).body;
    expect(entries.filter((e: { kind: string }) => e.kind === "event")).toHaveLength(3);
  });

  it("values from before it do not pass a gate, which asks anew", async () => {
    const id = await begin(clinic, ["kneecap-pain", "capacity", "bridge-two-legs"], {
      onsetOn: "2026-01-01",
    });
    const result = { id: uuid(), measure: "pain-step-down", side: "none", trials: [1] };
    await clinic.client.post(at(id, "measures"), { id: uuid(), takenOn: "2026-03-05", results: [result] });
    const criterion = async () =>
      (await clinic.client.get(at(id, "gate"))).body.gate.criteria.find(
        (c: { id: string }) => c.id === "pain-step-down-value",
      );
    expect(await criterion()).toMatchObject({ verdict: "met" });
    await clinic.client.post(at(id, "events"), operation());
    expect(await criterion()).toMatchObject({ verdict: "missing" });
    const gate = (await clinic.client.get(at(id, "gate"))).body.gate;
    expect(gate.barred.map((b: { measure: string }) => b.measure)).toContain("step-down-reps");
  });
});

describe("bad input", () => {
  let id: string;
  beforeAll(async () => {
    clinic.servers.setClock("2026-03-10T09:00:00.000Z");
    id = await begin(clinic, ["stairs-again", "step", "bridge-two-legs"]);
  });
  it.each([
    ["before birth", { on: "1980-01-01" }, "/on"],
    ["before the injury it follows", { on: "2026-02-01" }, "/on"],
    ["in the future, as if done", { on: "2026-03-11" }, "/on"],
    ["without anything done", { procedures: undefined }, "/procedures"],
    ["of what nobody knows", { procedures: ["brain-transplant"] }, "/procedures/0"],
    ["a graft without a reconstruction", { graft: "hamstring" }, "/graft"],
    ["a reconstruction without its graft", { procedures: ["ligament-reconstruction"] }, "/graft"],
    ["a graft nobody takes", { procedures: ["ligament-reconstruction"], graft: "bamboo" }, "/graft"],
    ["a correction of nothing", { supersedes: uuid() }, "/supersedes"],
    [
      "an end for what was not done",
      { ends: [{ procedure: "hip-arthroscopy", limit: "bend", until: null }] },
      "/ends/0",
    ],
    [
      "a range whose least is above its most",
      {
        sheet: [
          {
            kind: "range",
            joint: "knee",
            leastDeg: 90,
            mostDeg: 30,
            when: "any",
            leg: "involved",
            origin: "surgeon",
            says: "x",
          },
        ],
      },
      "/sheet/0/mostDeg",
    ],
    [
      "more weight than the body has",
      { sheet: [{ kind: "weight", mostShare: 1.4, origin: "surgeon", says: "x" }] },
      "/sheet/0/mostShare",
    ],
    ["a graft for a brace", { kind: "brace-off", procedures: undefined, graft: "hamstring" }, "/graft"],
  ])("an operation %s is refused at the field", async (_what, over, path) => {
    const reply = await clinic.client.post(at(id, "events"), operation(over));
    expect([reply.status, paths(reply)]).toEqual([422, expect.arrayContaining([path])]);
    expect((await clinic.client.get(at(id, "history"))).body.events).toEqual([]);
  });
  it("an assistant signs neither an event nor a condition", async () => {
    expect((await clinic.assistant.post(at(id, "events"), operation())).status).toBe(403);
    const condition = { id: uuid(), code: "falls", present: true, reason: "Fell in the kitchen" };
    expect((await clinic.assistant.post(at(id, "conditions"), condition)).status).toBe(403);
  });
  it("a condition without a reason, one that is known already, one that is not", async () => {
    const condition = { id: uuid(), code: "falls", present: true, reason: " " };
    expect(paths(await clinic.client.post(at(id, "conditions"), condition))).toContain("/reason");
    expect(
      paths(
        await clinic.client.post(at(id, "conditions"), { ...condition, present: false, reason: "steady" }),
      ),
    ).toEqual(["/code"]);
  });
});

describe("an injury anew", () => {
  it("counts the clocks from its day, and only later values count", async () => {
    const id = await begin(clinic, ["kneecap-pain", "capacity", "bridge-two-legs"], {
      onsetOn: "2025-12-01",
    });
    const days = async () => (await clinic.client.get(at(id, "gate"))).body.gate.daysSinceOnset;
    expect(await days()).toBe(99);
    const event = { id: uuid(), kind: "reinjury", on: "2026-03-08", reason: "Twisted on the stairs" };
    expect((await clinic.client.post(at(id, "events"), event)).status).toBe(201);
    expect(await days()).toBe(2);
  });
});
