import type { OpenSignal, Written } from "~/contract/episode";
import type { SignalBody, SignalClearanceBody, SignalTakenBackBody } from "~/contract/daily";
import { needsExercise } from "~/core/intake/stop-signal";
import type { StaffContext } from "~/server/staff-context";
import { refused } from "~/server/http/problem";
import type { LoadedCase } from "~/server/case/make-case";
import { raisedBy } from "~/server/case/signal-repository";
import { openSignals, takenBackWithinMs } from "./open-signals";
import { signalClearances } from "~/server/facts/signal-clearances";
import { signals } from "~/server/facts/signals";
import { appendFact } from "~/server/facts/sql";
import { writeFact } from "~/server/episode/write-fact";

/** Raises a stop signal; anybody of the clinic may. What it suspends follows from its code. */
export function raiseSignal(staff: StaffContext, episodeId: string, body: SignalBody): Promise<Written> {
  const fact = { of: "signals", body, action: "raise-signal" } as const;
  return writeFact(staff, episodeId, fact, async ({ db, writing, loaded: { file } }) => {
    const inPlan = file.items.some((item) => item.id === body.itemId && item.endedAt === undefined);
    const path = "/itemId";
    if (body.itemId !== undefined && !inPlan) {
      throw refused([{ path, problem: "is not in this patient's plan" }]);
    }
    if (needsExercise(body.code) && body.itemId === undefined) {
      throw refused([{ path, problem: "is needed: say in which exercise it was" }]);
    }
    const { note: written, ...signal } = body;
    const note = written?.trim();
    const { at } = writing;
    await appendFact(db, writing, signals, { ...signal, ...(note ? { note } : {}), occurredAt: at, at });
  });
}

/** Clears a stop signal in writing, once. */
export function clearSignal(
  staff: StaffContext,
  episodeId: string,
  body: SignalClearanceBody,
): Promise<Written> {
  const fact = { of: "signalClearances", body, action: "clear-signal" } as const;
  return writeFact(staff, episodeId, fact, async ({ db, writing, loaded }) => {
    openHere(staff, loaded, body.signalId);
    const { at } = writing;
    await appendFact(db, writing, signalClearances, { ...body, reason: body.reason.trim(), at });
  });
}

/** Takes back a signal raised by a slip of the finger: by who raised it, within a minute. Both stay in the record. */
export function takeBackSignal(
  staff: StaffContext,
  episodeId: string,
  body: SignalTakenBackBody,
): Promise<Written> {
  const fact = { of: "signalClearances", body, action: "take-back-signal" } as const;
  return writeFact(staff, episodeId, fact, async ({ db, writing, loaded }) => {
    const signal = openHere(staff, loaded, body.signalId);
    const late = Date.parse(writing.at) - Date.parse(signal.at) > takenBackWithinMs;
    const byOthers = (await raisedBy(db, staff.clinicId, body.signalId)) !== staff.staffId;
    if (byOthers || late) {
      const problem = late ? "is older than a minute: clear it in writing" : "was raised by somebody else";
      throw refused([{ path: "/signalId", problem }]);
    }
    const reason = "Raised by mistake and taken back within a minute";
    await appendFact(db, writing, signalClearances, { ...body, reason, at: writing.at });
  });
}

/** The open signal of this episode with that id. */
function openHere(staff: StaffContext, loaded: LoadedCase, signalId: string): OpenSignal {
  const signal = openSignals(loaded, staff).find(({ id }) => id === signalId);
  if (!signal) throw refused([{ path: "/signalId", problem: "is not an open stop signal of this patient" }]);
  if (signal.elsewhere) {
    const problem = `was raised in the record ‘${signal.elsewhere.diagnosis}’ and is cleared there`;
    throw refused([{ path: "/signalId", problem }]);
  }
  return signal;
}
