import type { RecordEntry } from "~/contract/record";
import { pool } from "~/server/db/connection";
import { harderDays } from "~/server/facts/harder-days";
import { messages } from "~/server/facts/messages";
import { readFacts } from "~/server/facts/sql";

/** What was written to the patient's phone, and what it was allowed to offer. */
export async function phoneEntries(clinicId: string, episodeId: string): Promise<RecordEntry[]> {
  const [written, allowed] = await Promise.all([
    readFacts(pool(), messages, clinicId, [episodeId]),
    readFacts(pool(), harderDays, clinicId, [episodeId]),
  ]);
  return [
    ...(written.get(episodeId) ?? []).map(({ at, by, words }): RecordEntry => ({
      kind: "message",
      at,
      by,
      words,
    })),
    ...(allowed.get(episodeId) ?? []).map(({ at, by, itemId, allowed: may, reason }): RecordEntry => ({
      kind: "harder",
      at,
      by,
      itemId,
      allowed: may,
      reason,
    })),
  ];
}
