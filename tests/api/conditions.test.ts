import { afterAll, beforeAll, beforeEach, describe, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import { startingExercises } from "~/catalogue/exercises/all";
import type { Intake } from "~/core/intake/intake";
import { someIntake } from "~tests/builders/intake";
import { signedIn, type Client, type Reply } from "~tests/harness/client";
import { startServers, type Servers } from "~tests/harness/servers";

/** What is so with somebody: shown everywhere, and judged by; and limits a clinician may go against. */
let servers: Servers;
let client: Client;

beforeAll(async () => {
  servers = await startServers(1);
  client = await signedIn(servers.urls[0] as string);
});
beforeEach(() => servers.setClock("2026-03-10T09:00:00.000Z"));
afterAll(() => servers.stop());

const at = (id: string, what: string) => `/api/episodes/${id}/${what}`;
const paths = ({ body }: Reply) => (body.problems ?? []).map((p: { path: string }) => p.path);
const idOf = (variantId: string) =>
  startingExercises.find(({ variants }) => variants.some(({ id }) => id === variantId))?.id;
const item = (variantId: string) => ({ id: uuid(), exerciseId: idOf(variantId), variantId });

async function begin(
  pathway: string,
  stage: string,
  variantId: string,
  intake: object = {},
  over: object = {},
) {
  const id = uuid();
  const body = {
    id,
    intake: someIntake(pathway, intake),
    stage,
    reason: "Placed for this test, all of it known",
    items: [item(variantId)],
    ...over,
  };
  const reply = await client.post("/api/intakes", body);
  expect(reply.body.problems ?? []).toEqual([]);
  return id;
}
const limitsOf = async (id: string): Promise<string[]> =>
  (await client.get(at(id, "history"))).body.limits.map((l: { says: string }) => l.says);
/** The words with which an exercise is refused; null when it is taken. */
async function add(id: string, variantId: string): Promise<string | null> {
  const { status, body } = await client.post(at(id, "items"), item(variantId));
  return status === 201 ? null : body.problems.map((p: { problem: string }) => p.problem).join("; ");
}
const operation = (over: object = {}) => ({
  id: uuid(),
  kind: "operation",
  on: "2026-03-06",
  procedures: ["meniscus-repair"],
  reason: "From the surgeon's letter of the 6th",
  ...over,
});

describe("conditions of the person", () => {
  const asked: Partial<Intake> = {
    illnesses: ["osteoporosis"],
    medicines: ["blood-thinner"],
    fellLastYear: true,
  };
  const shorts = (person: { conditions: { short: string }[] }) =>
    person.conditions.map(({ short }) => short).sort();

  it("asked at intake stand beside the name on every view of the patient", async () => {
    const id = await begin("kneecap-pain", "capacity", "bridge-two-legs", asked);
    const expected = ["blood thinners", "falls", "thin bones"];
    for (const view of ["", "plan", "measures", "gate", "record", "history"]) {
      const { body } = await client.get(view === "" ? `/api/episodes/${id}` : at(id, view));
      expect([view, shorts(body.person)]).toEqual([view, expected]);
    }
    const library = (await client.get(at(id, "library"))).body;
    expect(shorts(library.patient.person)).toEqual(expected);
    const file = (await client.get(at(id, "case"))).body;
    expect(file.conditions.map((c: { short: string }) => c.short).sort()).toEqual(expected);
  });

  it("bar what they limit, until a signature ends them", async () => {
    const id = await begin("stairs-again", "stairs", "bridge-two-legs", asked);
    expect(await add(id, "stance-eyes-closed")).toContain("falls");
    const over = { id: uuid(), code: "falls", present: false, reason: "No fall for two years, walks on ice" };
    expect((await client.post(at(id, "conditions"), over)).status).toBe(201);
    expect(await add(id, "stance-eyes-closed")).toBeNull();
    const again = { id: uuid(), code: "falls", present: true, reason: "Fell at the bus stop" };
    expect((await client.post(at(id, "conditions"), again)).status).toBe(201);
    expect(
      (await client.get(at(id, "plan"))).body.items.some((i: { blockedBy: string | null }) =>
        i.blockedBy?.includes("falls"),
      ),
    ).toBe(true);
  });

  it("bar it at intake already: what is signed there obeys them", async () => {
    const body = {
      id: uuid(),
      intake: someIntake("stairs-again", asked),
      stage: "stairs",
      reason: "Placed for this test",
      items: [item("stance-eyes-closed")],
    };
    expect(paths(await client.post("/api/intakes", body))).toContain("/items/0/variantId");
  });

  it("belong to the person: a second episode knows them, and its limits hold here", async () => {
    const first = await begin("kneecap-pain", "capacity", "bridge-two-legs");
    const second = await begin("groin-strain", "protect", "ball-squeeze-bent", {}, { beside: first });
    await client.post(at(second, "conditions"), {
      id: uuid(),
      code: "nerve-loss",
      present: true,
      reason: "Monofilament not felt",
    });
    expect(shorts((await client.get(`/api/episodes/${first}`)).body.person)).toEqual(["numb feet"]);
    await client.post(at(second, "events"), operation({ procedures: ["knee-replacement"] }));
    expect(await limitsOf(first)).toContain("no running unless the surgeon says so");
    expect((await client.get(`/api/episodes/${first}`)).body.elsewhere).toHaveLength(1);
  });

  it("a skeleton that grows follows from the age", async () => {
    const person = { givenName: "Ivo", familyName: "Kern", bornOn: "2012-05-01", activity: "Climber" };
    const id = await begin("kneecap-pain", "capacity", "bridge-two-legs", { person });
    expect(shorts((await client.get(`/api/episodes/${id}`)).body.person)).toEqual(["growing"]);
    const condition = { id: uuid(), code: "growing", present: false, reason: "Grown up fast" };
    expect(paths(await client.post(at(id, "conditions"), condition))).toEqual(["/code"]);
  });

  it("an inflammatory flare lets nothing get harder while it lasts", async () => {
    const id = await begin("kneecap-pain", "capacity", "bridge-two-legs");
    await client.post(at(id, "conditions"), {
      id: uuid(),
      code: "inflammatory-flare",
      present: true,
      reason: "Three hot joints",
    });
    const { items } = (await client.get(`/api/episodes/${id}`)).body;
    expect(items[0].proposal).toMatchObject({ outcome: "hold", rule: "signal-open" });
  });
});

describe("going against a limit", () => {
  const against = (id: string, variantId: string, reason: string) =>
    client.post(at(id, "items"), { ...item(variantId), against: reason });

  it("that is a condition's or a stage's: with a written reason, which stays beside the exercise", async () => {
    const id = await begin("stairs-again", "stairs", "bridge-two-legs", { fellLastYear: true });
    const refused = await client.post(at(id, "items"), item("stance-eyes-closed"));
    expect(refused.body.changed.against.join()).toContain("falls");
    const reason = "Trained dancer, stands safely with eyes closed in the corner";
    const added = await against(id, "stance-eyes-closed", reason);
    expect(added.status).toBe(201);
    const inPlan = added.body.plan.items.find(
      (i: { exerciseId: string }) => i.exerciseId === idOf("stance-eyes-closed"),
    );
    expect(inPlan).toMatchObject({ blockedBy: null, against: { reason } });
    const file = (await client.get(at(id, "case"))).body;
    expect(file.items.at(-1).against).toMatchObject({ reason });
  });

  it("that is the surgeon's or a procedure's: never, whatever the reason", async () => {
    const id = await begin("stairs-again", "step", "bridge-two-legs");
    await client.post(at(id, "events"), operation());
    const refused = await against(id, "split-squat-rear-raised", "I have done this for thirty years");
    expect(refused.status).toBe(422);
    expect(refused.body.changed).toBeUndefined();
    expect((await client.get(at(id, "plan"))).body.items).toHaveLength(1);
  });
});
