import { clinicWays } from "~/server/clinic/habits";
import type { PhoneView } from "~/contract/phone";
import { measuredHeight } from "~/core/case/measured-body";
import { haltsOf } from "~/core/case/stops";
import { reportDays } from "~/core/caseload/caseload-state";
import { episodeState } from "~/core/episode/episode-turn";
import type { GateResult } from "~/core/gate/gate";
import { stopSignal } from "~/core/intake/stop-signal";
import { addDays, localDay } from "~/core/schedule/local-day";
import { loadEpisode, noteRead } from "~/server/case/load-episode";
import type { LoadedCase } from "~/server/case/make-case";
import { pool } from "~/server/db/connection";
import { messages } from "~/server/facts/messages";
import { readFacts } from "~/server/facts/sql";
import { keptWeeks } from "~/server/week/read-week";
import type { PhoneContext } from "~/server/phone-context";
import { itemsAtHome, laidDays } from "./at-home";
import { harderToday, wordsOnHarder } from "./harder-days";
import { ownNumbers } from "./own-numbers";

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
  const harder = harderToday(loaded, await wordsOnHarder(clinicId, episodeId));
  const stages = file.pathway.stages;
  return {
    asOf: file.asOf,
    zone: file.zone,
    today,
    givenName: head.person.givenName,
    clinicName: phone.clinicName,
    calls: phone.calls,
    ways: clinicWays(phone.habits),
    involvedSide: head.involvedSide,
    heightM: measuredHeight(file),
    state: episodeState(head),
    school: review.school,
    halted: halt ? { code: halt.code, urgency: stopSignal(halt.code).urgency } : null,
    items: itemsAtHome(loaded, today, harder),
    days: laidDays(loaded, weeks, today),
    doneOn: loaded
      .days()
      .map(({ date }) => date)
      .filter((date) => date > addDays(today, -doneDaysBack)),
    morningOf: reportDays(file, loaded.days()).canReport,
    pains: painsOf(loaded, today),
    numbers: ownNumbers(loaded),
    stair: {
      stages: stages.map(({ name, aim }) => ({ name, aim })),
      at: stages.findIndex(({ code }) => code === review.stage),
      waitsFor: waitsFor(review.gate),
    },
    messages: written.slice(-mostMessages).reverse(),
  };
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
