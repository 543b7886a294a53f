import { describe, expect, it } from "vitest";
import { v7 as uuid } from "uuid";
import type { StairItem, StairView } from "~/contract/episode";
import type { Dose } from "~/core/dose/dose";
import type { Prescription } from "~/core/exercise/prescription";
import { at, atClinic, begin, paths } from "~tests/harness/at-clinic";
import { circumstances } from "~tests/harness/story";
import { importCase } from "~/core/case/import-case";
import { replayDecisions } from "~/core/review/replay-decisions";
import { finished } from "~/core/work/in-steps";
import { fullGym } from "~/core/exercise/kit";

const clinic = atClinic();

/** Somebody with a painful kneecap who steps up sideways, and the one exercise of the plan. */
async function stepper(variantId = "side-step-up-free") {
  const id = await begin(clinic, ["kneecap-pain", "capacity", variantId], { irritability: "low" });
  return { id, ...(await stairOf(id)) };
}
async function stairOf(id: string): Promise<{ stair: StairView; item: StairItem }> {
  const stair = (await clinic.client.get(`/api/episodes/${id}`)).body as StairView;
  const [item] = stair.items;
  if (!item) throw new Error("the plan is empty");
  return { stair, item };
}
const dosed = ({ prescription }: StairItem, dose: Partial<Dose>): Prescription => ({
  ...prescription,
  dose: { ...prescription.dose, ...dose },
});
const sign = (
  { id, stair, item }: Awaited<ReturnType<typeof stepper>>,
  prescription: Prescription,
  over: object = {},
) =>
  clinic.client.post(at(id, "decisions"), {
    id: uuid(),
    itemId: item.itemId,
    expectedVersion: stair.version,
    action: "change",
    prescription,
    ...over,
  });
const why = { reason: "She has done these for years at work" };

describe("a dose by the clinician's own hand", () => {
  it("several knobs are one signed change, said in the record, and the next step goes on from there", async () => {
    const who = await stepper();
    const wanted = dosed(who.item, {
      sets: 4,
      reps: { bottom: 6, top: 8 },
      tempo: "3-1-1-1",
      halfwayPauseSeconds: 2,
      restSeconds: 100,
      daysPerWeek: 3,
    });
    const prescription = { ...wanted, settings: { ...wanted.settings, "step-height": 17 } };
    expect(paths(await sign(who, prescription))).toEqual(["/reason"]);
    const signed = await sign(who, prescription, why);
    expect(signed.body.problems ?? []).toEqual([]);
    const { item } = await stairOf(who.id);
    expect(item.prescription).toEqual(prescription);
    expect(item.lastDecision).toMatchObject({ action: "change" });
    const up = item.alternatives.find(
      ({ direction, knob }) => direction === "harder" && knob === "step-height",
    );
    // 17 lies between two rungs: the next one is the next step.
    expect(up).toMatchObject({ from: 17, to: 20 });
    const { entries } = (await clinic.client.get(at(who.id, "record"))).body;
    expect(JSON.stringify(entries)).toContain(why.reason);
  });

  it("less, or with more rest, needs no reason where nothing is proposed against it", async () => {
    const who = await stepper();
    expect((await sign(who, dosed(who.item, { sets: 1, restSeconds: 300 }))).status).toBe(201);
  });

  it("what makes no sense is refused at its field, and nothing is kept", async () => {
    const who = await stepper();
    const { dose } = who.item.prescription;
    const { reps: _reps, ...nothing } = dose;
    const [wrongWay, counted, slow, often] = await Promise.all([
      sign(who, dosed(who.item, { reps: { bottom: 12, top: 8 } }), why),
      sign(who, { ...who.item.prescription, dose: nothing }, why),
      sign(who, dosed(who.item, { tempo: "0-0-0-0" }), why),
      sign(who, dosed(who.item, { contacts: { bottom: 10, top: 20 } }), why),
    ]);
    expect(paths(wrongWay)).toEqual(["/prescription/dose/reps"]);
    expect(paths(counted)).toContain("/prescription/dose");
    expect(paths(slow)).toEqual(["/prescription/dose/tempo"]);
    expect(paths(often)).toEqual(["/prescription/dose/contacts"]);
    const knobs = { ...who.item.prescription.settings, "box-height": 40 };
    expect(paths(await sign(who, { ...who.item.prescription, settings: knobs }, why))).toEqual([
      "/prescription/settings/box-height",
    ]);
    expect(paths(await sign(who, who.item.prescription, why))).toEqual(["/prescription"]);
    expect((await stairOf(who.id)).item).toEqual(who.item);
  });

  it("amounts far beyond what was done are asked about, and taken when they are meant", async () => {
    const who = await stepper();
    const much = dosed(who.item, { sets: 3 * who.item.prescription.dose.sets });
    const asked = await sign(who, much, why);
    expect([asked.status, asked.body.type]).toEqual([422, "/problems/unusual"]);
    expect(paths(asked)).toContain("/prescription/dose/sets");
    expect((await sign(who, much, { ...why, meant: true })).status).toBe(201);
  });

  it("a limit bars it whatever the reason, and a reach beyond the body is refused where it was typed", async () => {
    const who = await stepper();
    const line = { kind: "range-limit", joint: "knee", mostDeg: 60, origin: "surgeon", says: "knee to 60°" };
    await clinic.client.post(at(who.id, "circumstances"), circumstances([line], fullGym));
    const now = { id: who.id, ...(await stairOf(who.id)) };
    const { prescription } = now.item;
    const high = { ...prescription, settings: { ...prescription.settings, "step-height": 30 } };
    const barred = await sign(now, high, why);
    expect(barred.body.problems[0].problem).toContain("knee to 60°");
    const reacher = await stepper("reach-forward");
    const { settings } = reacher.item.prescription;
    const far = { ...reacher.item.prescription, settings: { ...settings, reach: 150 } };
    expect(paths(await sign(reacher, far, why))).toEqual(["/prescription/settings"]);
  });

  it("is not signed on a record that has changed meanwhile, nor by somebody who may not", async () => {
    const who = await stepper();
    const first = dosed(who.item, { sets: 1 });
    expect((await sign(who, first)).status).toBe(201);
    expect((await sign(who, dosed(who.item, { sets: 2 }), why)).status).toBe(409);
    const { stair, item } = await stairOf(who.id);
    const reply = await clinic.assistant.post(at(who.id, "decisions"), {
      id: uuid(),
      itemId: item.itemId,
      expectedVersion: stair.version,
      action: "change",
      prescription: dosed(item, { sets: 2 }),
    });
    expect(reply.status).toBe(403);
  });

  it("goes out in a case file, comes in again the same, and its record is read again the same", async () => {
    const who = await stepper();
    const wanted = {
      ...dosed(who.item, { sets: 4, boutsPerDay: 2, halfwayPauseSeconds: 1.5 }),
      leg: "affected" as const,
    };
    expect((await sign(who, wanted, why)).status).toBe(201);
    const file = (await clinic.client.get(at(who.id, "case"))).body;
    const taken = importCase(JSON.stringify(file));
    if (!taken.ok) throw new Error(JSON.stringify(taken.problems));
    expect(taken.value.items[0]?.prescriptions.at(-1)?.prescription).toEqual(wanted);
    expect(taken.value.decisions.at(-1)?.applied).toMatchObject({ kind: "by-hand", prescription: wanted });
    const { decisions } = finished(replayDecisions(taken.value));
    expect(decisions).not.toEqual([]);
    expect(decisions.filter(({ same }) => !same)).toEqual([]);
  });
});
