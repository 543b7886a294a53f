import { engineVersion } from "~/core/decision/decide";
import { now } from "~/server/clock";
import { pool } from "~/server/db/connection";
import { takeLease } from "~/server/db/lease";
import { forgottenBy } from "~/server/remembered";
import { overtakeOtherEngines, staleEpisodes } from "./caseload-repository";
import { projectEpisodes } from "./project-caseload";

const leaseSeconds = 20;
const atMost = 25;
/** Who is being written into is left alone for a moment, and never for longer than this: others wait behind. */
const quietMs = 2000;
const longestMs = 10_000;

let overtaken = false;
forgottenBy(() => (overtaken = false));

/** Computes some stale rows again; one process at a time, the others leave it to that one. @returns how many */
export async function sweepCaseload(): Promise<number> {
  const at = now();
  if (!overtaken) {
    await overtakeOtherEngines(pool(), engineVersion);
    overtaken = true;
  }
  const before = (ms: number) => new Date(Date.parse(at) - ms).toISOString();
  const quiet = { writtenBefore: before(quietMs), computedBefore: before(longestMs) };
  const due = await staleEpisodes(pool(), at, quiet, atMost);
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
