import { describe, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import type { Intake } from "~/core/intake/intake";
import { someIntake } from "~tests/builders/intake";
import { add, at, atClinic, begin, idOf, item, limitsOf, operation, paths } from "~tests/harness/at-clinic";

/** What is so with somebody: shown everywhere, and judged by; and limits a clinician may go against. */
const clinic = atClinic();

describe("conditions of the person", () => {
  const asked: Partial<Intake> = {
    illnesses: ["osteoporosis"],
    medicines: ["blood-thinner"],
    fellLastYear: true,
  };
  const shorts = (person: { conditions: { short: string }[] }) =>
    person.conditions.map(({ short }) => short).sort();

  it("asked at intake stand beside the name on every view of the patient", async () => {
    const id = await begin(clinic, ["kneecap-pain", "capacity", "bridge-two-legs"], asked);
    const expected = ["blood thinners", "falls", "thin bones"];
    for (const view of ["", "plan", "measures", "gate", "record", "history"]) {
      const { body } = await clinic.client.get(view === "" ? `/api/episodes/${id}` : at(id, view));
      expect([view, shorts(body.person)]).toEqual([view, expected]);
    }
    const library = (await clinic.client.get(at(id, "library"))).body;
    expect(shorts(library.patient.person)).toEqual(expected);
    const file = (await clinic.client.get(at(id, "case"))).body;
    expect(file.conditions.map((c: { short: string }) => c.short).sort()).toEqual(expected);
  });

  it("bar what they limit, until a signature ends them", async () => {
    const id = await begin(clinic, ["stairs-again", "stairs", "bridge-two-legs"], asked);
    expect(await add(clinic, id, "stance-eyes-closed")).toContain("falls");
    const over = { id: uuid(), code: "falls", present: false, reason: "No fall for two years, walks on ice" };
    expect((await clinic.client.post(at(id, "conditions"), over)).status).toBe(201);
    expect(await add(clinic, id, "stance-eyes-closed")).toBeNull();
    const again = { id: uuid(), code: "falls", present: true, reason: "Fell at the bus stop" };
    expect((await clinic.client.post(at(id, "conditions"), again)).status).toBe(201);
    expect(
      (await clinic.client.get(at(id, "plan"))).body.items.some((i: { blockedBy: string | null }) =>
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
    expect(paths(await clinic.client.post("/api/intakes", body))).toContain("/items/0/variantId");
  });

  it("belong to the person: a second episode knows them, and its limits hold here", async () => {
    const first = await begin(clinic, ["kneecap-pain", "capacity", "bridge-two-legs"]);
    const second = await begin(
      clinic,
      ["groin-strain", "protect", "ball-squeeze-bent"],
      {},
      { beside: first },
    );
    await clinic.client.post(at(second, "conditions"), {
      id: uuid(),
      code: "nerve-loss",
      present: true,
      reason: "Monofilament not felt",
    });
    expect(shorts((await clinic.client.get(`/api/episodes/${first}`)).body.person)).toEqual(["numb feet"]);
    await clinic.client.post(at(second, "events"), operation({ procedures: ["knee-replacement"] }));
    expect(await limitsOf(clinic, first)).toContain("no running unless the surgeon says so");
    expect((await clinic.client.get(`/api/episodes/${first}`)).body.elsewhere).toHaveLength(1);
  });

  it("a skeleton that grows follows from the age", async () => {
    const person = { givenName: "Ivo", familyName: "Kern", bornOn: "2012-05-01", activity: "Climber" };
    const id = await begin(clinic, ["kneecap-pain", "capacity", "bridge-two-legs"], { person });
    expect(shorts((await clinic.client.get(`/api/episodes/${id}`)).body.person)).toEqual(["growing"]);
    const condition = { id: uuid(), code: "growing", present: false, reason: "Grown up fast" };
    expect(paths(await clinic.client.post(at(id, "conditions"), condition))).toEqual(["/code"]);
  });

  it("an inflammatory flare lets nothing get harder while it lasts", async () => {
    const id = await begin(clinic, ["kneecap-pain", "capacity", "bridge-two-legs"]);
    await clinic.client.post(at(id, "conditions"), {
      id: uuid(),
      code: "inflammatory-flare",
      present: true,
      reason: "Three hot joints",
    });
    const { items } = (await clinic.client.get(`/api/episodes/${id}`)).body;
    expect(items[0].proposal).toMatchObject({ outcome: "hold", rule: "signal-open" });
  });
});

describe("going against a limit", () => {
  const against = (id: string, variantId: string, reason: string) =>
    clinic.client.post(at(id, "items"), { ...item(variantId), against: reason });

  it("that is a condition's or a stage's: with a written reason, which stays beside the exercise", async () => {
    const id = await begin(clinic, ["stairs-again", "stairs", "bridge-two-legs"], { fellLastYear: true });
    const refused = await clinic.client.post(at(id, "items"), item("stance-eyes-closed"));
    expect(refused.body.changed.against.join()).toContain("falls");
    const reason = "Trained dancer, stands safely with eyes closed in the corner";
    const added = await against(id, "stance-eyes-closed", reason);
    expect(added.status).toBe(201);
    const inPlan = added.body.plan.items.find(
      (i: { exerciseId: string }) => i.exerciseId === idOf("stance-eyes-closed"),
    );
    expect(inPlan).toMatchObject({ blockedBy: null, against: { reason } });
    const file = (await clinic.client.get(at(id, "case"))).body;
    expect(file.items.at(-1).against).toMatchObject({ reason });
  });

  it("that is the surgeon's or a procedure's: never, whatever the reason", async () => {
    const id = await begin(clinic, ["stairs-again", "step", "bridge-two-legs"]);
    await clinic.client.post(at(id, "events"), operation());
    const refused = await against(id, "split-squat-rear-raised", "I have done this for thirty years");
    expect(refused.status).toBe(422);
    expect(refused.body.changed).toBeUndefined();
    expect((await clinic.client.get(at(id, "plan"))).body.items).toHaveLength(1);
  });
});

it("note and letter name the operation and what has to be kept in mind", async () => {
  const id = await begin(clinic, ["stairs-again", "step", "bridge-two-legs"], { fellLastYear: true });
  await clinic.client.post(at(id, "events"), operation());
  for (const kind of ["visit-note", "handover-letter"]) {
    const { body } = await clinic.client.get(`/episodes/${id}/document?kind=${kind}`);
    expect([kind, body]).toEqual([kind, expect.stringContaining("To keep in mind: falls")]);
    expect(body).toContain("Meniscus repair");
  }
});
