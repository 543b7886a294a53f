import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bookOfBody } from "~/catalogue/demands/book";
import type { CaseFile } from "~/core/case/case-file";
import { limitsOf } from "~/core/case/in-force";
import type { DrawnDemandOrWhy } from "~/core/demand/drawn-demand";
import { loadKit } from "~/core/exercise/kit-needed";
import { variantOf } from "~/core/exercise/exercise";
import { obstacle } from "~/core/limit/obstacle";
import { stageOf } from "~/core/pathway/pathway";
import { replayDecisions } from "~/core/review/replay-decisions";
import { finished } from "~/core/work/in-steps";
import { reviewCase, type CaseReview } from "~/core/review/review-case";
import { addDays, localDay } from "~/core/schedule/local-day";
import { instantOfLocal } from "~/core/schedule/local-time";
import { livedCases } from "~tests/builders/lived-cases";
import { arbitraryCase } from "~tests/builders/random-case";

/**
 * What holds of every lived record, whatever happened in it: laws from the rules of decisions (common practice). `npm test` asks
 * forty records, `npm run test:lives` ten thousand.
 */
const many = process.env["LIVES"];
const lives = Number(many ?? 40);
const seed = Number(process.env["SEED"] ?? 31);
const atOnce = 100;
const kept = new Map<string, DrawnDemandOrWhy>();
const book = bookOfBody({ heightM: 1.72 }, kept);
const review = (file: CaseFile) => reviewCase(file, { book });
const harder: ReadonlySet<string> = new Set(["step-up", "plateau"]);
const outcomes = ({ items }: CaseReview) =>
  items.map(({ itemId, proposal }) => [itemId, proposal.outcome, proposal.rule, proposal.change]);

/** The files of one hundred, lived once for all laws. */
let sampled: { readonly from: number; readonly files: readonly CaseFile[] } | null = null;
function hundred(from: number): readonly CaseFile[] {
  if (sampled?.from !== from) {
    const numRuns = Math.min(atOnce, lives - from);
    const files = many ? fc.sample(arbitraryCase, { numRuns, seed: seed + from }) : livedCases(lives);
    sampled = { from, files };
  }
  return sampled.files;
}
const hundreds = Array.from({ length: Math.ceil(lives / atOnce) }, (_, n) => n * atOnce);

describe.each(hundreds)("lived records from %d on", (from) => {
  it("under a ceiling nothing gets harder and no more volume is offered", () => {
    let free = 0;
    for (const [n, file] of hundred(from).entries()) {
      const last = file.sessions.at(-1);
      if (!last) continue;
      free += review(file).items.filter(({ proposal }) => harder.has(proposal.outcome)).length;
      const under = n % 2 === 0 ? inPain(file, last) : swollen(file);
      for (const { proposal } of review(under).items)
        expect(harder.has(proposal.outcome), `life ${from + n}: ${proposal.rule}`).toBe(false);
    }
    expect(free).toBeGreaterThan(0);
  });

  it("no change breaks a limit or leaves the shelf; at most two are eased for one reaction", () => {
    let changes = 0;
    for (const [n, file] of hundred(from).entries()) {
      const found = review(file);
      const flared = found.items.filter(({ proposal }) => proposal.rule === "ease-flare");
      expect(flared.length, `life ${from + n}`).toBeLessThanOrEqual(2);
      for (const item of found.items) {
        changes += Number(item.proposal.change !== undefined && "prescription" in item.proposal.change);
        expect(wrongWith(item, file, found), `life ${from + n}: ${item.exerciseId}`).toBeNull();
      }
    }
    expect(changes).toBeGreaterThan(hundred(from).length / 4);
  });

  it("replayed, every signed proposal comes out as it was stored", () => {
    for (const [n, file] of hundred(from).entries())
      expect(
        finished(replayDecisions(file)).decisions.filter(({ same }) => !same),
        `life ${from + n}`,
      ).toEqual([]);
  });

  it("the order of arrival changes nothing, unless a signature lies between", () => {
    let moved = 0;
    for (const [n, file] of hundred(from).entries()) {
      const sessions = file.sessions.map((session) => {
        const { receivedAt, ...atOnce } = session;
        if (receivedAt === undefined || signedBetween(file, session.at, receivedAt)) return session;
        moved += 1;
        return atOnce;
      });
      const other = { ...file, sessions: [...sessions].reverse(), reports: [...file.reports].reverse() };
      expect(outcomes(review(other)), `life ${from + n}`).toEqual(outcomes(review(file)));
    }
    expect(moved).toBeGreaterThan(hundred(from).length / 10);
  });

  it("moving every clock by whole days, a change of the hour among them, changes nothing", () => {
    for (const [n, file] of hundred(from).entries()) {
      const days = 1 + (n % 40);
      // Hours to a report stay hours: a record within one hour of 36 or 48 may fall on either side.
      const last = file.sessions.at(-1);
      const hours = last ? (Date.parse(file.asOf) - Date.parse(last.at)) / 3_600_000 : 0;
      if ([36, 48].some((edge) => Math.abs(hours - edge) <= 1)) continue;
      expect(outcomes(review(shifted(file, days))), `life ${from + n}`).toEqual(
        shifted(outcomes(review(file)), days),
      );
    }
  });
});

/** Pain of 7 before the last session, and nobody has reported since. */
const inPain = (file: CaseFile, last: CaseFile["sessions"][number]): CaseFile => ({
  ...file,
  reports: file.reports.filter(({ trainingDate }) => trainingDate !== localDay(last.at, file.zone)),
  sessions: [...file.sessions.slice(0, -1), { ...last, painBefore: 7 }],
});

/** Effusion of 2+ found now. */
const swollen = (file: CaseFile): CaseFile => ({
  ...file,
  results: [
    {
      id: "sweep",
      measure: "effusion",
      side: "left",
      value: 3,
      takenOn: localDay(file.asOf, file.zone),
      recordedAt: file.asOf,
      occasion: "since-injury",
    },
  ],
});

/** What is wrong with a change that is proposed: a limit it breaks, a load that stands on no shelf and was never lifted. */
function wrongWith(
  { itemId, exerciseId, proposal: { change } }: CaseReview["items"][number],
  file: CaseFile,
  { stage }: CaseReview,
): string | null {
  if (!change || !("knob" in change)) return null;
  const exercise = file.exercises.find(({ id }) => id === exerciseId);
  if (!exercise) throw new Error(exerciseId);
  const { prescription: to } = change;
  const limits = limitsOf(file, stageOf(file.pathway, stage));
  const today = localDay(file.asOf, file.zone);
  const broken = obstacle(to, variantOf(exercise, to.variantId), exercise, limits, today, book);
  if (broken) return broken.says;
  const loadKg = to.dose.loadKg ?? 0;
  const made = loadKit(variantOf(exercise, to.variantId), to);
  const shelf = file.restrictions.flatMap((limit) =>
    limit.kind === "kit" && made !== undefined ? (limit.shelfKg?.[made] ?? []) : [],
  );
  if (change.knob !== "load" || shelf.length === 0 || loadKg === 0 || shelf.includes(loadKg)) return null;
  const held = file.items.find(({ id }) => id === itemId)?.prescriptions ?? [];
  const isUndone = held.some(({ prescription }) => prescription.dose.loadKg === loadKg);
  return isUndone ? null : `${loadKg} kg is not on the shelf`;
}

const signedBetween = (file: CaseFile, from: string, to: string): boolean =>
  file.decisions.some(({ at }) => Date.parse(at) >= Date.parse(from) && Date.parse(at) <= Date.parse(to));

/** Every instant and date of something, so many local days later in Vienna. */
function shifted<T>(value: T, days: number): T {
  if (typeof value === "string") return shiftedText(value, days) as T;
  if (Array.isArray(value)) return value.map((entry: unknown) => shifted(entry, days)) as T;
  if (value === null || typeof value !== "object") return value;
  return Object.fromEntries(Object.entries(value).map(([key, entry]) => [key, shifted(entry, days)])) as T;
}

function shiftedText(text: string, days: number): string {
  if (/^\d{4}-\d{2}-\d{2}$/.test(text)) return addDays(text, days);
  if (!/^\d{4}-\d{2}-\d{2}T/.test(text)) return text;
  const zone = "Europe/Vienna";
  const [date = "", time = ""] = new Date(text).toLocaleString("sv-SE", { timeZone: zone }).split(" ");
  const instant = instantOfLocal(`${addDays(date, days)}T${time.slice(0, 5)}`, zone);
  return new Date(Date.parse(instant) + Number(time.slice(6)) * 1000).toISOString();
}
