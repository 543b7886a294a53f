import type { StaffView } from "~/contract/staff";
import { pool, type Queryable } from "~/server/db/connection";
import type { StaffContext } from "~/server/staff-context";
import { findColleagues, findStaffChanges } from "./colleague-repository";

/** Everybody who works in the clinic, and what was changed about them. */
export async function readStaff(staff: StaffContext, db: Queryable = pool()): Promise<StaffView> {
  return {
    you: staff.staffId,
    colleagues: await findColleagues(db, staff.clinicId),
    changes: await findStaffChanges(db, staff.clinicId),
  };
}
