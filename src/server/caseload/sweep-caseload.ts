import { engineVersion } from "~/core/decision/decide";
import { now } from "~/server/clock";
import { pool } from "~/server/db/connection";
import { takeLease } from "~/server/db/lease";
import { log } from "~/server/http/log";
import { staleEpisodes } from "./caseload-repository";
import { projectEpisodes } from "./project-caseload";

const everyMs = 1000;
const leaseSeconds = 20;
const atMost = 50;

let timer: NodeJS.Timeout | undefined;
let sweeping = false;

/** Starts looking, once a second, for rows that time or a write has overtaken; once for each process. */
export function keepSweeping(): void {
  timer ??= setInterval(() => void sweepOnce(), everyMs).unref();
}

async function sweepOnce(): Promise<void> {
  if (sweeping) return;
  sweeping = true;
  try {
    await sweepCaseload();
  } catch (error) {
    log.warn({ error: String((error as Error)?.message ?? error) }, "caseload sweep put off");
  } finally {
    sweeping = false;
  }
}

/** Computes some stale rows again; one process at a time, the others leave it to that one. @returns how many */
export async function sweepCaseload(): Promise<number> {
  const at = now();
  const due = await staleEpisodes(pool(), at, engineVersion, atMost);
  if (due.length === 0) return 0;
  const release = await takeLease(pool(), "sweep-caseload", leaseSeconds, at);
  if (!release) return 0;
  try {
    const clinics = new Map(due.map(({ clinicId, zone }) => [clinicId, zone]));
    for (const [clinicId, zone] of clinics) {
      const ids = due.filter((entry) => entry.clinicId === clinicId).map((entry) => entry.episodeId);
      await projectEpisodes(pool(), { clinicId, zone }, ids, at);
    }
    return due.length;
  } finally {
    await release();
  }
}
