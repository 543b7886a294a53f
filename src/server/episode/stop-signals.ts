import type { Written } from "~/core/interchange/contract";
import type { OpenSignal, SignalBody, SignalClearanceBody } from "~/core/interchange/daily-contract";
import { stopSignal } from "~/core/intake/stop-signal";
import type { StaffContext } from "~/server/auth/staff-context";
import { refused } from "~/server/http/problem";
import type { LoadedCase } from "./case-loader";
import { insertSignal, insertSignalClearance } from "./daily-writer";
import { writeFact } from "./write-episode";

const namesAnExercise: readonly string[] = ["item", "lane"];

/** Raises a stop signal; anybody of the clinic may. What it suspends follows from its code. */
export function raiseSignal(staff: StaffContext, episodeId: string, body: SignalBody): Promise<Written> {
  const fact = { table: "stop_signals", id: body.id, action: "raise-signal" } as const;
  return writeFact(staff, episodeId, fact, async ({ db, writing, loaded: { file } }) => {
    const inPlan = file.items.some((item) => item.id === body.itemId && item.endedAt === undefined);
    const path = "/itemId";
    if (body.itemId !== undefined && !inPlan) {
      throw refused([{ path, problem: "is not in this patient's plan" }]);
    }
    if (namesAnExercise.includes(stopSignal(body.code).suspends) && body.itemId === undefined) {
      throw refused([{ path, problem: "is needed: say in which exercise it was" }]);
    }
    await insertSignal(db, writing, body);
  });
}

/** Clears a stop signal in writing, once. */
export function clearSignal(
  staff: StaffContext,
  episodeId: string,
  body: SignalClearanceBody,
): Promise<Written> {
  const fact = { table: "signal_clearances", id: body.id, action: "clear-signal" } as const;
  return writeFact(staff, episodeId, fact, async ({ db, writing, loaded }) => {
    if (!openSignals(loaded).some((signal) => signal.id === body.signalId)) {
      throw refused([{ path: "/signalId", problem: "is not an open stop signal of this patient" }]);
    }
    await insertSignalClearance(db, writing, body);
  });
}

/** Stop signals that nobody has cleared, the latest first. */
export function openSignals({ file, writers }: LoadedCase): OpenSignal[] {
  const exerciseOf = (itemId: string | undefined) => {
    const item = file.items.find((candidate) => candidate.id === itemId);
    return file.exercises.find((exercise) => exercise.id === item?.exerciseId)?.name ?? null;
  };
  return writers.signals
    .filter((signal) => signal.cleared === undefined)
    .map(({ id, code, at, by, itemId, note }) => ({
      id,
      code,
      urgency: stopSignal(code).urgency,
      scope: stopSignal(code).suspends,
      at,
      by,
      exercise: exerciseOf(itemId),
      note: note ?? null,
    }))
    .reverse();
}
