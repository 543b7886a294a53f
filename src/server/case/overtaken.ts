import type { Queryable } from "~/server/db/connection";

/**
 * Until when a row of the caseload holds that a write has overtaken: before anything. It is worked out again before anybody sees it.
 */
export const writtenOver = "1970-01-01 00:00:00.000";
/** The same of one that other rules worked out: right after those, as there may be all of a clinic's at once. */
export const rulesOver = "1970-01-02 00:00:00.000";

/** Says of a whole clinic that what its caseload keeps holds no more: all is judged anew, and nobody leaves the list meanwhile. */
export async function overtakeClinic(db: Queryable, clinicId: string): Promise<void> {
  await db.execute(
    "UPDATE caseload_rows SET valid_until = ? WHERE clinic_id = ? AND valid_until > ? AND resting = FALSE",
    [rulesOver, clinicId, rulesOver],
  );
}
