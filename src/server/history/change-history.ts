import { procedures, proceduresOf } from "~/catalogue/procedures/all";
import type { ConditionBody, EventBody, HistoryWritten } from "~/contract/history";
import { conditionsAt } from "~/core/condition/condition";
import { eventProblems } from "~/core/event/event-problems";
import { operationLimits, saysOfWeight } from "~/core/event/operation-limits";
import { standingEvents } from "~/core/event/standing-events";
import { localDay } from "~/core/schedule/local-day";
import { conditionChanges } from "~/server/facts/condition-changes";
import { events } from "~/server/facts/events";
import { appendFact } from "~/server/facts/sql";
import { refused } from "~/server/http/problem";
import type { StaffContext } from "~/server/staff-context";
import { writeInto, type Fact, type WriteScope } from "~/server/write/write-into";
import { historyView } from "./read-history";

/**
 * Signs what happened: an operation with everything its procedures and the surgeon's sheet limit, another event, or the
 * correction of one. What was signed before stays.
 */
export function recordEvent(
  staff: StaffContext,
  episodeId: string,
  body: EventBody,
): Promise<HistoryWritten> {
  const fact: Fact = { of: "events", body, action: "sign-event" };
  return writeHistory(
    staff,
    episodeId,
    fact,
    async ({ db, writing, loaded: { head, file, circumstances } }) => {
      const problems = eventProblems(body, {
        bornOn: head.person.bornOn,
        onsetOn: file.episode.onsetOn,
        today: localDay(writing.at, file.zone),
        standing: standingEvents(file.events ?? [], writing.at),
        procedures,
      });
      if (problems.length > 0) throw refused(problems);
      const { sheet, ends, reason, ...event } = body;
      const { on, graft, procedures: done = [], withdrawn } = event;
      const limits = operationLimits(proceduresOf(done), {
        on,
        graft,
        sheet: sheet ?? [],
        ends: ends ?? [],
        weightIsWritten: saysOfWeight(circumstances?.limits ?? []),
      });
      await appendFact(db, writing, events, {
        ...event,
        at: writing.at,
        reason: reason.trim(),
        ...(event.kind === "operation" && !withdrawn ? { limits } : {}),
      });
    },
  );
}

/** Signs that a condition of the person began or ended. */
export function setCondition(
  staff: StaffContext,
  episodeId: string,
  body: ConditionBody,
): Promise<HistoryWritten> {
  const fact: Fact = { of: "conditionChanges", body, action: "sign-condition" };
  return writeHistory(staff, episodeId, fact, async ({ db, writing, loaded: { file } }) => {
    const isPresent = conditionsAt(file.conditions ?? [], file.asOf).some(({ code }) => code === body.code);
    if (body.code === "growing")
      throw refused([{ path: "/code", problem: "follows from the age and is not signed" }]);
    if (isPresent === body.present) {
      const problem = body.present ? "is known already" : "is not known of this person";
      throw refused([{ path: "/code", problem }]);
    }
    await appendFact(db, writing, conditionChanges, { ...body, reason: body.reason.trim(), at: writing.at });
  });
}

async function writeHistory(
  staff: StaffContext,
  episodeId: string,
  fact: Fact,
  write: (scope: WriteScope) => Promise<void>,
): Promise<HistoryWritten> {
  const { repeated, seen } = await writeInto(staff, episodeId, fact, write, (loaded) =>
    historyView(staff, loaded),
  );
  return { id: fact.body.id, repeated, history: seen };
}
