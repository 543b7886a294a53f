import { signingRoles } from "~/contract/roles";
import type { ClinicShelf, ShelfBody, ShelfView } from "~/contract/shelf";
import { bandProblems } from "~/core/band/band";
import { shelfProblems } from "~/core/exercise/shelf";
import { nextInstant } from "~/core/schedule/next-instant";
import { writeAudit } from "~/server/audit/audit-repository";
import { now } from "~/server/clock";
import { pool } from "~/server/db/connection";
import { inTransaction } from "~/server/db/transaction";
import { ApiProblem, refused } from "~/server/http/problem";
import { isKnownTwin, type Sent } from "~/server/receipt/known-twin";
import { keepReceipt } from "~/server/receipt/receipt-repository";
import type { StaffContext } from "~/server/staff-context";
import { insertShelf, latestShelf, lockShelf, type KeptShelf } from "./shelf-repository";

const bare: ClinicShelf = { loadsKg: {}, bands: [] };

const viewOf = ({ role }: StaffContext, kept: KeptShelf | null): ShelfView => ({
  shelf: kept?.shelf ?? bare,
  settingId: kept?.id ?? null,
  maySet: signingRoles.includes(role),
});

/** The clinic's weights and bands. */
export const readShelf = async (staff: StaffContext): Promise<ShelfView> =>
  viewOf(staff, await latestShelf(pool(), staff.clinicId));

/** Sets the clinic's weights and bands. The setting before stays on record; who looked at an older one is told. */
export function setShelf(
  staff: StaffContext,
  body: ShelfBody,
): Promise<{ id: string; repeated: boolean; view: ShelfView }> {
  const { shelf } = body;
  const problems = [
    ...shelfProblems(shelf.loadsKg, "/shelf/loadsKg"),
    ...bandProblems(shelf.bands, "/shelf/bands"),
  ];
  if (problems.length > 0) throw refused(problems);
  const id = body.id.toLowerCase();
  const sent: Sent = { id, kind: "shelf", episodeId: null, body };
  return inTransaction(async (db) => {
    const last = await lockShelf(db, staff.clinicId);
    if (await isKnownTwin(db, staff.clinicId, sent)) return { id, repeated: true, view: viewOf(staff, last) };
    if ((body.after?.toLowerCase() ?? null) !== (last?.id ?? null))
      throw new ApiProblem(409, "stale", "The shelf was changed while you were looking. Nothing was saved.", {
        changed: viewOf(staff, last),
      });
    const kept = { id, at: last === null ? now() : nextInstant(now(), last.at), shelf };
    await insertShelf(db, staff, kept);
    await keepReceipt(db, staff, sent, kept.at);
    await writeAudit(db, staff, { action: "set-shelf", kind: "shelf_settings", id }, kept.at);
    return { id, repeated: false, view: viewOf(staff, kept) };
  });
}
