import { pool } from "~/server/db/connection";
import { takeLease } from "~/server/db/lease";
import { deleteSessionsBefore } from "./staff-repository";

const leaseSeconds = 30;

/** Removes sessions that nobody can use any more; one process at a time, the others leave it to that one. */
export async function sweepSessions(now: string, createdBefore: string): Promise<void> {
  const release = await takeLease(pool(), "sweep-sessions", leaseSeconds, now);
  if (!release) return;
  try {
    await deleteSessionsBefore(pool(), createdBefore);
  } finally {
    await release();
  }
}
