import type { LimitLine } from "~/contract/fields";
import type { Restriction } from "~/core/limit/restriction";

const untold = new Set(["kit", "phases", "variants"]);

/** Limits worth a line: those of the body, that have not ended. What kit is at hand and what a stage holds is said elsewhere. */
export function told({ kind, until }: Restriction, today: string): boolean {
  return !untold.has(kind) && (until === undefined || today <= until);
}

/** A stage's words may repeat a dated limit; the one that says until when is enough. */
function saidWithEnd({ says, until }: Restriction, all: readonly Restriction[], today: string): boolean {
  if (until !== undefined) return false;
  return all.some((other) => other.says === says && other.until !== undefined && told(other, today));
}

/** The limits of a list that are told of at a patient, in words, each once. */
export function limitsTold(limits: readonly Restriction[], today: string): LimitLine[] {
  const lines = limits
    .filter((limit) => told(limit, today) && !saidWithEnd(limit, limits, today))
    .map(({ says, from, until, origin }) => ({ says, from: from ?? null, until: until ?? null, origin }));
  const key = ({ says, from, until }: LimitLine) => `${says} ${from} ${until}`;
  return lines.filter((line, n) => lines.findIndex((other) => key(other) === key(line)) === n);
}
