import { afterAll, beforeAll, expect } from "vitest";
import { v7 as uuid } from "uuid";
import { bookOfBody } from "~/catalogue/demands/book";
import { measureByCode } from "~/catalogue/measures/all";
import type { GateView } from "~/contract/gate";
import type { StairItem } from "~/contract/episode";
import type { CaseFile } from "~/core/case/case-file";
import { limitsOfItem } from "~/core/case/in-force";
import { measuredBody } from "~/core/case/measured-body";
import { variantOf } from "~/core/exercise/exercise";
import type { Criterion } from "~/core/gate/gate";
import { canBeJudged } from "~/core/gate/judged-in-writing";
import { measuresIn } from "~/core/gate/measures-in";
import type { Intake } from "~/core/intake/intake";
import type { Placing } from "~/core/intake/placing";
import { obstacle } from "~/core/limit/obstacle";
import { stageOf, type Pathway, type Stage } from "~/core/pathway/pathway";
import { addDays, localDay } from "~/core/schedule/local-day";
import { someIntake } from "~tests/builders/intake";
import { signedIn, type Client, type Reply } from "./client";
import { fillLanes } from "./fill-lanes";
import { sharedServers, type Servers } from "./servers";
import { trainedDaily } from "./trained";

export const firstDay = "2026-03-10";
export const nine = (date: string) => `${date}T09:00:00.000Z`;

/** Somebody who walks a pathway through the endpoints, day by day. */
export class Walk {
  client = undefined as unknown as Client;
  servers = undefined as unknown as Servers;

  /** The clinic's morning of that day; the session at the desk has ended over night. */
  async morning(date: string): Promise<void> {
    this.servers.setClock(nine(date));
    this.client = await signedIn(this.servers.urls[0] as string);
  }

  async begin(pathway: Pathway, over: Partial<Intake> = {}): Promise<{ id: string; placing: Placing }> {
    const intake = someIntake(pathway.code, over);
    const proposed = await this.client.post("/api/intakes/placing", { intake });
    if (proposed.status !== 200) throw new Error(JSON.stringify(proposed.body));
    const placing = proposed.body as Placing;
    const items = placing.lanes.flatMap(({ chosen }) =>
      chosen
        ? [
            {
              id: uuid(),
              exerciseId: chosen.exerciseId,
              variantId: chosen.variantId,
              sets: chosen.prescription.dose.sets,
            },
          ]
        : [],
    );
    const id = uuid();
    const signed = await this.client.post("/api/intakes", { id, intake, stage: placing.stage, items });
    if (signed.status !== 201) throw new Error(JSON.stringify(signed.body));
    return { id, placing };
  }

  gateOf = async (id: string) => (await this.client.get(`/api/episodes/${id}/gate`)).body as GateView;

  /** Lives through one stage until its gate is open, and signs it. @returns the day of the signature */
  async passStage(id: string, stage: Stage, today: string): Promise<string> {
    await this.morning(today);
    // What the calendar still bars comes in later.
    await fillLanes(this.client, id);
    await this.measureFor(id, stage, today, true);
    const asksEffort = stage.gate?.criteria.some((c) => c.kind === "within-rule");
    let day = asksEffort ? await this.squeezeDays(id, today) : today;
    const waiting = await this.gateOf(id);
    day = addDays(day, waiting.gate?.daysLeft ?? 0);
    await this.morning(day);
    await this.measureFor(id, stage, day);
    expect(await fillLanes(this.client, id)).toEqual([]);
    await trainedDaily(this.servers.database.ownerUrl, id, { before: day });
    await this.judgeInWriting(id);
    const view = await this.gateOf(id);
    expect(view.gate?.criteria.filter((c) => c.required && !c.passes).map((c) => c.name)).toEqual([]);
    expect(view.gate).toMatchObject({ outcome: "open" });
    const next = view.stages[view.stages.findIndex((s) => s.code === view.stage) + 1];
    const signed = await this.client.post(`/api/episodes/${id}/gate`, {
      id: uuid(),
      expectedVersion: view.version,
      action: "pass",
      stage: next?.code,
    });
    expect(signed.status).toBe(201);
    return day;
  }

  /** Walks from the stage signed to the last one, without an override. @returns the day it is reached */
  async toTheEnd(
    { id, placing }: { id: string; placing: Placing },
    pathway: Pathway,
    atEach: (stage: Stage, today: string) => Promise<void> = async () => undefined,
  ): Promise<string> {
    let today = firstDay;
    const from = pathway.stages.findIndex((stage) => stage.code === placing.stage);
    for (const stage of pathway.stages.slice(from, -1)) {
      expect((await this.gateOf(id)).stage).toBe(stage.code);
      await atEach(stage, today);
      today = await this.passStage(id, stage, today);
    }
    const end = await this.gateOf(id);
    expect(end).toMatchObject({ stage: pathway.stages.at(-1)?.code, gate: null });
    expect(end.moves.map((move) => move.kind)).not.toContain("override");
    return today;
  }

  /** The record as it is exported. */
  caseOf = async (id: string) => (await this.client.get(`/api/episodes/${id}/case`)).body as CaseFile;

  /** What of the plan, or of what is proposed for it, breaks a limit in force: asked of the record, not of the view. */
  async brokenLimits(id: string): Promise<string[]> {
    const file = await this.caseOf(id);
    const { items } = (await this.client.get(`/api/episodes/${id}`)).body as { items: StairItem[] };
    const book = bookOfBody(measuredBody(file));
    const stage = stageOf(file.pathway, (await this.gateOf(id)).stage);
    const today = localDay(file.asOf, file.zone);
    return items.flatMap(({ itemId, exercise, prescription, proposal }) => {
      const item = file.items.find((candidate) => candidate.id === itemId);
      const next = proposal.change && "prescription" in proposal.change ? [proposal.change.prescription] : [];
      // What no longer fits is told so by its own proposal; what is proposed instead must fit.
      const judged =
        proposal.rule === "beyond-limit" || proposal.rule === "ease-beyond-limit"
          ? next
          : [prescription, ...next];
      return judged.flatMap((one) => {
        const variant = variantOf(exercise, one.variantId);
        const stop = obstacle(one, variant, exercise, limitsOfItem(file, stage, item ?? {}), today, book);
        return stop ? [`${one.variantId}: ${stop.says}`] : [];
      });
    });
  }

  /** Takes everything that the stage's gate reads; what has to rise does so from the first time to the next. */
  private async measureFor(id: string, stage: Stage, takenOn: string, isFirst = false): Promise<void> {
    const criteria = stage.gate?.criteria ?? [];
    const codes = new Set(["squeeze-force", ...criteria.flatMap(measuresIn)]);
    const rises = criteria.filter((c) => c.kind === "change");
    const results = [...codes].flatMap((measure) => {
      const sides = measureByCode(measure).sides === "none" ? ["none"] : ["left", "right"];
      const rise = rises.find((c) => c.measure === measure)?.threshold ?? 0;
      const value = satisfying(measure, criteria) + (isFirst ? 0 : rise);
      return sides.map((side) => ({ id: uuid(), measure, side, trials: [value], confirmed: true }));
    });
    const reply = await this.client.post(`/api/episodes/${id}/measures`, { id: uuid(), takenOn, results });
    if (reply.status !== 201) throw new Error(JSON.stringify(reply.body));
  }

  /** Two training days of firm squeezes with quiet mornings after, where the gate asks for effort within the rule. */
  private async squeezeDays(id: string, from: string): Promise<string> {
    const { items } = (await this.client.get(`/api/episodes/${id}`)).body;
    const squeeze = items.find((i: { exercise: { id: string } }) => i.exercise.id === "ball-squeeze");
    let today = from;
    for (let n = 0; n < 2; n += 1) {
      await this.morning(today);
      const sets = Array.from({ length: 5 }, () => ({
        side: "both",
        holdSeconds: 10,
        forceN: Math.round(squeeze.maximumN * 0.72),
        painDuring: 0,
        painSite: "episode",
        effort: 6,
        faults: [],
      }));
      const session = {
        id: uuid(),
        occurredAt: nine(today),
        painBefore: 0,
        items: [{ itemId: squeeze.itemId, sets }],
      };
      expect((await this.client.post(`/api/episodes/${id}/sessions`, session)).status).toBe(201);
      const worked = today;
      today = addDays(today, 1);
      await this.morning(today);
      const report: Reply = await this.client.post(`/api/episodes/${id}/reports`, {
        id: uuid(),
        trainingDate: worked,
        pain: 0,
        swelling: "same",
      });
      expect(report.status).toBe(201);
      today = addDays(today, 1);
    }
    return today;
  }

  /** What no number can decide is judged by the clinician. */
  private async judgeInWriting(id: string): Promise<void> {
    const { gate } = await this.gateOf(id);
    for (const { id: criterion, verdict, ...rest } of gate?.criteria ?? []) {
      if (verdict !== "undefined" || !canBeJudged(rest)) continue;
      const reason = "Judged by hand on both sides, as far as this task asks";
      const reply = await this.client.post(`/api/episodes/${id}/criterion-words`, {
        id: uuid(),
        criterion,
        reason,
      });
      expect(reply.status).toBe(201);
    }
  }
}

/** A walk for the tests of one file. */
export function walking(): Walk {
  const walk = new Walk();
  beforeAll(async () => {
    walk.servers = await sharedServers();
    await walk.morning(firstDay);
  });
  afterAll(() => walk.servers.stop());
  return walk;
}

/** A value that satisfies every criterion that reads the measure, the same on both sides. */
function satisfying(code: string, criteria: readonly Criterion[]): number {
  const measure = measureByCode(code);
  const own = criteria.filter((c) => c.kind === "value" && c.measure === code);
  const atLeast = own.flatMap((c) => (c.kind === "value" && c.comparison === ">=" ? [c.threshold] : []));
  const atMost = own.flatMap((c) => (c.kind === "value" && c.comparison === "<=" ? [c.threshold] : []));
  const { low, high } = measure.usual ?? measure.plausible;
  const middle = (low + high) / 2;
  const value =
    atLeast.length > 0
      ? Math.min(measure.plausible.high, Math.max(...atLeast) * 1.1)
      : atMost.length > 0
        ? Math.min(...atMost)
        : middle;
  return measure.whole ? Math.ceil(value) : Math.round(value * 10) / 10;
}
