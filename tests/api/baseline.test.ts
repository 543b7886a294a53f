import { describe, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import { someIntake } from "~tests/builders/intake";
import { at, atClinic, item, paths } from "~tests/harness/at-clinic";

const clinic = atClinic();
const today = "2026-03-10";
const calm = [
  { measure: "pain-step-down", side: "none", trials: [1] },
  { measure: "pain-worst", side: "none", trials: [2] },
  { measure: "standing-height", side: "none", trials: [168] },
];
const sign = (intake: object, stage: string) => {
  const body = { id: uuid(), intake, stage, items: [item("clam-30")] };
  return clinic.client.post("/api/intakes", body).then((reply) => ({ id: body.id, reply }));
};

describe("a baseline taken at intake", () => {
  const intake = someIntake("kneecap-pain", { baseline: { takenOn: today, results: calm } as never });

  it("places beyond the gates that it opens, which then needs no reason", async () => {
    const { body } = await clinic.client.post("/api/intakes/placing", { intake });
    expect(body.stage).toBe("capacity");
    const without = await clinic.client.post("/api/intakes/placing", { intake: someIntake("kneecap-pain") });
    expect(without.body.stage).toBe("calm");
    const bare = await sign(someIntake("kneecap-pain"), "capacity");
    expect(paths(bare.reply)).toEqual(["/reason"]);
    expect((await sign(intake, "capacity")).reply.status).toBe(201);
  });

  it("stands in the record as a visit of its day, and the body is drawn as it was measured", async () => {
    const { id } = await sign(intake, "capacity");
    const { body } = await clinic.client.get(at(id, "measures"));
    const worst = body.status.find((one: { code: string }) => one.code === "pain-worst");
    expect(worst.none).toMatchObject({ value: 2, takenOn: today });
    expect((await clinic.client.get(at(id, "plan"))).body.heightM).toBe(1.68);
    const { body: record } = await clinic.client.get(at(id, "record"));
    expect(record.entries).toContainEqual(
      expect.objectContaining({
        kind: "stage",
        reason: expect.stringContaining("Gates open by what was measured: Calm."),
      }),
    );
    const visit = record.entries.find(({ kind }: { kind: string }) => kind === "measures");
    expect(visit.results).toContainEqual({
      result: expect.objectContaining({ measure: "pain-worst", side: "none", value: 2 }),
      name: "Worst pain this week",
      unit: "{0-10}",
      corrected: false,
      voided: null,
    });
  });

  it.each([
    [{ takenOn: "2026-03-11", results: calm }, "/baseline/takenOn"],
    [{ takenOn: today, results: [{ ...calm[0], trials: [12] }] }, "/baseline/results/0/trials/0"],
    [{ takenOn: today, results: [{ ...calm[0], side: "left" }] }, "/baseline/results/0/side"],
    [{ takenOn: today, results: [] }, "/intake/baseline/results"],
  ])("what cannot be is refused at its field: %j", async (baseline, path) => {
    const reply = await clinic.client.post("/api/intakes/placing", { intake: { ...intake, baseline } });
    expect(reply.status).toBe(422);
    expect(paths(reply)).toEqual([path]);
  });
});
