import type { AuditLine, PersonFile } from "~/contract/trust";
import { findAudit } from "~/server/audit/audit-repository";
import { episodesOfPerson } from "~/server/case/episode-repository";
import { loadEpisode, noteRead } from "~/server/case/load-episode";
import { now } from "~/server/clock";
import { pool } from "~/server/db/connection";
import { recordView } from "~/server/episode/read-record";
import { intakes as intakeFacts } from "~/server/facts/intakes";
import { stills as stillFacts } from "~/server/facts/stills";
import { traces as traceFacts } from "~/server/facts/traces";
import { readFacts } from "~/server/facts/sql";
import { phonesEver } from "~/server/phone/phones-ever";
import { unseal } from "~/server/seal/seal";
import type { StaffContext } from "~/server/staff-context";
import { readPerson } from "./person-view";

const mostLines = 100_000;

/** Everything that is kept of the person an episode belongs to, their other episodes among it. */
export async function exportPerson(staff: StaffContext, id: string): Promise<PersonFile> {
  const { identity, changes } = await readPerson(staff, id);
  const ids = await episodesOfPerson(pool(), staff.clinicId, id);
  const intakes = await readFacts(pool(), intakeFacts, staff.clinicId, ids);
  const traces = await readFacts(pool(), traceFacts, staff.clinicId, ids);
  const stills = await readFacts(pool(), stillFacts, staff.clinicId, ids);
  const episodes: PersonFile["episodes"] = [];
  const log: AuditLine[] = [];
  for (const episodeId of ids) {
    const loaded = await loadEpisode(staff, episodeId);
    episodes.push({
      diagnosis: loaded.head.diagnosis,
      intakes: (intakes.get(episodeId) ?? []).map(({ at, by, intake }) => ({ at, by, intake })),
      traces: (traces.get(episodeId) ?? []).map(({ by: _by, ...trace }) => trace),
      stills: (stills.get(episodeId) ?? []).map(({ by: _by, picture, ...still }) => ({
        ...still,
        picture: picture === undefined ? null : unseal(staff.clinicId, still.id, picture),
      })),
      phones: await phonesEver(pool(), staff.clinicId, episodeId),
      week: loaded.circumstances,
      case: loaded.file,
      record: (await recordView(staff, loaded)).entries,
    });
    log.push(
      ...(await findAudit(pool(), staff.clinicId, {
        who: null,
        episode: episodeId,
        before: null,
        most: mostLines,
      })),
    );
  }
  await noteRead(staff, id, "export-person");
  return {
    format: "patient-stair-person",
    version: 1,
    at: now(),
    clinic: staff.clinicName,
    identity,
    identityChanges: changes,
    episodes,
    log: log.sort((a, b) => Date.parse(b.at) - Date.parse(a.at)),
  };
}
