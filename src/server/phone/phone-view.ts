import type { EasierToday, PhoneItem, PhoneView } from "~/contract/phone";
import { limitsOfItem } from "~/core/case/in-force";
import { measuredHeight } from "~/core/case/measured-body";
import { haltsOf } from "~/core/case/stops";
import { reportDays } from "~/core/caseload/caseload-state";
import { episodeState } from "~/core/episode/episode-turn";
import type { Exercise } from "~/core/exercise/exercise";
import { sidesOf } from "~/core/exercise/sides-of";
import type { GateResult } from "~/core/gate/gate";
import { stopSignal } from "~/core/intake/stop-signal";
import { otherSide, type InvolvedSide } from "~/core/measure/side-value";
import { stageOf } from "~/core/pathway/pathway";
import { alternatives } from "~/core/progression/alternatives";
import type { ItemReview } from "~/core/review/review-case";
import { addDays, localDay } from "~/core/schedule/local-day";
import { dayOrder } from "~/core/week/day-order";
import { loadEpisode, noteRead } from "~/server/case/load-episode";
import type { LoadedCase } from "~/server/case/make-case";
import { pool } from "~/server/db/connection";
import { namesInPlan } from "~/server/episode/names-in-plan";
import { messages } from "~/server/facts/messages";
import { readFacts } from "~/server/facts/sql";
import { keptWeeks } from "~/server/week/read-week";
import { mondayOf, weekQuestion } from "~/server/week/week-question";
import type { PhoneContext } from "~/server/phone-context";

const doneDaysBack = 14;
const painDaysBack = 42;
const mostMessages = 20;

/** What a patient's phone keeps of the plan. Noted in the audit log as a read by that phone. */
export async function readPhone(phone: PhoneContext): Promise<PhoneView> {
  const { clinicId, episodeId } = phone;
  const loaded = await loadEpisode(phone, episodeId);
  await noteRead(phone, episodeId, "read-phone");
  const { head, file } = loaded;
  const review = loaded.review();
  const today = localDay(file.asOf, file.zone);
  const weeks = await keptWeeks(pool(), clinicId, episodeId);
  const written = (await readFacts(pool(), messages, clinicId, [episodeId])).get(episodeId) ?? [];
  const [halt] = haltsOf(file);
  const stages = file.pathway.stages;
  return {
    asOf: file.asOf,
    zone: file.zone,
    today,
    givenName: head.person.givenName,
    clinicName: phone.clinicName,
    calls: phone.calls,
    involvedSide: head.involvedSide,
    heightM: measuredHeight(file),
    state: episodeState(head),
    school: review.school,
    halted: halt ? { code: halt.code, urgency: stopSignal(halt.code).urgency } : null,
    items: phoneItems(loaded, today),
    days: laidDays(loaded, weeks, today),
    doneOn: loaded
      .days()
      .map(({ date }) => date)
      .filter((date) => date > addDays(today, -doneDaysBack)),
    morningOf: reportDays(file, loaded.days()).canReport,
    pains: painsOf(loaded, today),
    stair: {
      stages: stages.map(({ name, aim }) => ({ name, aim })),
      at: stages.findIndex(({ code }) => code === review.stage),
      waitsFor: waitsFor(review.gate),
    },
    messages: written.slice(-mostMessages).reverse(),
  };
}

/** The exercises in the order in which a day is done. */
export function phoneItems(loaded: LoadedCase, today: string): PhoneItem[] {
  const { file } = loaded;
  const review = loaded.review();
  const names = namesInPlan(file, review.items);
  const { question } = weekQuestion(loaded, mondayOf(today), {}, new Map());
  // What is done as a circuit stays together, where its first exercise stands.
  const inCircuits = review.items.some(({ circuit }) => circuit !== null);
  const order = (inCircuits ? question.items : dayOrder(question.items)).map(({ id }) => id);
  const doneDays = (itemId: string) =>
    loaded
      .days()
      .filter(
        ({ date, sessions }) =>
          date >= mondayOf(today) && sessions.some(({ items }) => items.some((i) => i.itemId === itemId)),
      ).length;
  return order.flatMap((itemId) => {
    const item = review.items.find((candidate) => candidate.itemId === itemId);
    const exercise = file.exercises.find(({ id }) => id === item?.exerciseId);
    if (!item || !exercise) return [];
    const { prescription } = item;
    const sides = sidesOf(exercise, prescription);
    return [
      {
        itemId,
        name: names.get(itemId) ?? exercise.name,
        lane: item.lane,
        exerciseId: exercise.id,
        drawnLike: exercise.drawnLike ?? null,
        prescription,
        sides,
        first: firstLeg(loaded.head.involvedSide, prescription.leg),
        circuit: item.circuit,
        cues: exercise.cues.slice(0, 3),
        safety: exercise.safety ?? null,
        caution: exercise.caution ?? null,
        stopped: item.proposal.outcome === "stop",
        easier: easierToday(loaded, item, exercise, today),
        since: item.prescribedAt,
        doneDays: doneDays(itemId),
        wantedDays: prescription.dose.daysPerWeek,
      },
    ];
  });
}

/** The leg that begins: the affected one; the other where only that works. */
function firstLeg(involved: InvolvedSide, leg: "affected" | "other" | undefined): "left" | "right" {
  const affected = involved === "both" ? "left" : involved;
  return leg === "other" ? (otherSide(involved) ?? "right") : affected;
}

/** The one change that makes an exercise easier for today, within every limit; never a step of the plan. */
function easierToday(
  loaded: LoadedCase,
  { itemId, prescription }: ItemReview,
  exercise: Exercise,
  today: string,
): EasierToday | null {
  const { file } = loaded;
  const stage = stageOf(file.pathway, loaded.review().stage);
  const restrictions = limitsOfItem(file, stage, file.items.find(({ id }) => id === itemId) ?? {});
  const found = alternatives(exercise, prescription, { restrictions, today, book: loaded.book() }).find(
    ({ direction, kind, blockedBy }) => direction === "easier" && kind === "knob" && blockedBy === null,
  );
  return found ? { knob: found.knob, to: found.to, prescription: found.prescription } : null;
}

/** Days from today that somebody laid out, with their exercises in the order of the day. */
export function laidDays(
  loaded: LoadedCase,
  weeks: Awaited<ReturnType<typeof keptWeeks>>,
  today: string,
): PhoneView["days"] {
  const known = new Set(loaded.review().items.map(({ itemId }) => itemId));
  return [mondayOf(today), addDays(mondayOf(today), 7)].flatMap((monday) => {
    const week = weeks.get(monday);
    if (!week) return [];
    return Array.from({ length: 7 }, (_, n) => addDays(monday, n))
      .filter((date) => date >= today)
      .map((date) => ({
        date,
        items: week.placed.filter((at) => at.date === date && known.has(at.item)).map(({ item }) => item),
      }));
  });
}

function painsOf(loaded: LoadedCase, today: string): PhoneView["pains"] {
  return loaded
    .days()
    .filter(({ date }) => date > addDays(today, -painDaysBack))
    .map(({ date, sessions, report }) => ({
      date,
      during: Math.max(
        0,
        ...sessions.flatMap(({ items }) => items.flatMap(({ sets }) => sets.map((set) => set.painDuring))),
      ),
      after: report?.pain ?? null,
    }));
}

/** What still closes the gate: tests that are not passed, and days that have to go by. */
function waitsFor(gate: GateResult | null): PhoneView["stair"]["waitsFor"] {
  if (!gate) return [];
  const { daysLeft: days } = gate;
  return [
    ...gate.criteria
      .filter(({ required, passes }) => required && !passes)
      .map(({ name }) => ({ kind: "test" as const, name })),
    ...(days > 0 ? [{ kind: "days" as const, days }] : []),
  ];
}
