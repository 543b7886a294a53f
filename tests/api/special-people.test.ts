import { describe, expect, it } from "vitest";
import { pathwayByCode } from "~/catalogue/pathways/all";
import { bookOfBody } from "~/catalogue/demands/book";
import type { Demand } from "~/core/demand/demand";
import type { Intake } from "~/core/intake/intake";
import { addDays } from "~/core/schedule/local-day";
import { firstDay, walking } from "~tests/harness/walk";

/**
 * People who are not the middle of any table, each from intake to the last stage of their pathway: at every stage what stands in
 * the plan and what is proposed keeps every limit in force, and asks nothing that their condition forbids.
 */
const walk = walking();
/** In `npm run test:stories` all of them; in every run one of each kind, the one that takes least. */
const everybody = process.env["EVERYBODY"] !== undefined;
const book = bookOfBody({});

/** What the present plan asks of the body, exercise by exercise. */
async function asked(id: string): Promise<Demand[]> {
  const { items } = (await walk.client.get(`/api/episodes/${id}`)).body;
  return items.map(({ exercise, prescription }: Parameters<typeof book.demandOf>[0] & never) => {
    const told = book.demandOf(exercise, prescription);
    if (!told.ok) throw new Error(told.why);
    return told.demand;
  });
}

async function live(code: string, over: Partial<Intake>, atEach: (demands: Demand[], today: string) => void) {
  const pathway = pathwayByCode(code);
  await walk.morning(firstDay);
  const begun = await walk.begin(pathway, over);
  const look = async (today: string) => {
    expect(await walk.brokenLimits(begun.id)).toEqual([]);
    atEach(await asked(begun.id), today);
  };
  const today = await walk.toTheEnd(begun, pathway, (_stage, day) => look(day));
  await look(today);
  return begun.id;
}
const words = async (id: string): Promise<string[]> =>
  (await walk.client.get(`/api/episodes/${id}`)).body.person.conditions.map(
    (c: { short: string }) => c.short,
  );

const old = { givenName: "Hedda", familyName: "Altberg", bornOn: "1933-05-01", activity: "Garden" };

describe("a faller of 92", () => {
  it.each(everybody ? ["stairs-again", "single-leg-confidence"] : ["single-leg-confidence"])(
    "%s: to the last stage with eyes open on firm ground, nothing jumped, nothing else to think of",
    async (code) => {
      const person = { ...old, normGroup: "female" as const };
      const id = await live(code, { person, fellLastYear: true, irritability: "low" }, (demands) => {
        for (const demand of demands)
          expect(demand).toMatchObject({
            spring: "none",
            eyesClosed: false,
            softSurface: false,
            secondTask: false,
            running: false,
          });
      });
      expect(await words(id)).toContain("falls");
    },
  );
});

it.runIf(everybody)(
  "fourteen years old with a sore kneecap: growing, and never asked for a maximal effort",
  async () => {
    const person = { ...old, givenName: "Mio", bornOn: "2011-09-01", activity: "Climber" };
    const id = await live("kneecap-pain", { person, irritability: "low" }, () => undefined);
    expect(await words(id)).toEqual(["growing"]);
    const { items } = (await walk.client.get(`/api/episodes/${id}`)).body;
    for (const { prescription } of items)
      expect(prescription.dose.effort?.highPercent ?? 0).toBeLessThanOrEqual(85);
  },
);

it("a week without weight on the leg after a meniscus repair: nothing bears on it until the week is over", async () => {
  const until = addDays(firstDay, 6);
  await live(
    "meniscus-repair",
    { limits: [{ kind: "weight", mostShare: 0, origin: "surgeon", says: "no weight for a week", until }] },
    (demands, today) => {
      if (today > until) return;
      for (const { working, other } of demands) {
        expect(working.weightShare).toBe(0);
        expect(other.weightShare).toBe(0);
      }
    },
  );
});

it("a hamstring graft with a meniscus repair: the limits of both at once, to the last stage", async () => {
  const on = "2026-03-07";
  const surgery = {
    on,
    procedure: "cruciate ligament reconstruction",
    graft: "hamstring",
    also: ["meniscus-repair"],
  };
  await live("ligament-reconstruction", { surgery }, (demands, today) => {
    for (const demand of demands) {
      // Twelve weeks for the graft, eight for the meniscus: the longer holds. Bent under load no further than 90° for sixteen.
      if (today < addDays(on, 84)) expect(demand.resisted).not.toContain("hamstrings");
      if (today < addDays(on, 112)) {
        expect(demand.spring).toBe("none");
        for (const leg of [demand.working, demand.other])
          if (leg.loaded) expect(leg.kneeFlexionDeg[1]).toBeLessThanOrEqual(91);
      }
    }
  });
});

describe("no side to compare with", () => {
  it.each(everybody ? ["back-stiff-extension", "slipped-vertebra"] : ["slipped-vertebra"])(
    "a midline back passes every gate: %s",
    async (code) => {
      await live(code, { involvedSide: "both" }, () => undefined);
    },
  );
  it.each(everybody ? ["kneecap-pain", "tendon-pain"] : ["tendon-pain"])(
    "both sides hurt, %s: judged by norm or in writing",
    async (code) => {
      const id = await live(code, { involvedSide: "both" }, () => undefined);
      const { words: written } = await walk.gateOf(id);
      expect(written).toEqual([]);
    },
  );
});
