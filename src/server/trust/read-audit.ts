import type { AuditView } from "~/contract/trust";
import { isUuid } from "~/core/schema/formats";
import { findEpisode } from "~/server/case/episode-repository";
import { pool } from "~/server/db/connection";
import { notFound, refused } from "~/server/http/problem";
import { findColleagues } from "~/server/staff/colleague-repository";
import type { StaffContext } from "~/server/staff-context";
import { findAudit } from "~/server/audit/audit-repository";

const pageSize = 100;

/** What of the log is asked for. */
interface Asked {
  readonly who?: string;
  readonly episode?: string;
  /** Where the lines before ended: instant and id, with a bar between. */
  readonly after?: string;
}

/** A page of the clinic's log, newest first. */
export async function readAudit(staff: StaffContext, { who, episode, after }: Asked): Promise<AuditView> {
  const head = episode === undefined ? null : await findEpisode(pool(), staff.clinicId, episode);
  if (episode !== undefined && !head) throw notFound();
  const lines = await findAudit(pool(), staff.clinicId, {
    who: who ?? null,
    episode: episode ?? null,
    before: after === undefined ? null : placeOf(after),
    most: pageSize + 1,
  });
  const shown = lines.slice(0, pageSize);
  const last = shown.at(-1);
  return {
    zone: staff.zone,
    lines: shown,
    next: lines.length > pageSize && last ? `${last.at}|${last.id}` : null,
    colleagues: (await findColleagues(pool(), staff.clinicId)).map(({ id, name }) => ({ id, name })),
    person: head ? `${head.person.familyName}, ${head.person.givenName}` : null,
  };
}

/** @throws ApiProblem 422 for a place that no page has named */
function placeOf(after: string): { at: string; id: string } {
  const [at = "", id = ""] = after.split("|");
  if (Number.isNaN(Date.parse(at)) || !isUuid(id))
    throw refused([{ path: "/after", problem: "is no place in the log" }]);
  return { at, id };
}
