import { proceduresOf } from "~/catalogue/procedures/all";
import type { StairView } from "~/contract/episode";
import { standingEvents } from "~/core/event/standing-events";
import { daysBetween } from "~/core/schedule/local-day";
import type { LoadedCase } from "~/server/case/make-case";

/** The latest operation: what was done and how long ago. */
export function surgeryOf({ file }: LoadedCase, today: string): StairView["surgery"] {
  const { surgeryOn, graft } = file.episode;
  if (surgeryOn === undefined) return null;
  const last = standingEvents(file.events ?? [], file.asOf)
    .filter(({ kind }) => kind === "operation")
    .at(-1);
  const done = proceduresOf(last?.procedures ?? []).map(({ name }) => name);
  return { on: surgeryOn, daysSince: daysBetween(surgeryOn, today), procedures: done, graft: graft ?? null };
}
