import type { Calls } from "~/core/interchange/clinic-contract";
import type { Role } from "~/core/interchange/contract";

/** Who is asking. Every repository takes the clinic from here, never from the request. */
export interface StaffContext {
  readonly clinicId: string;
  readonly staffId: string;
  readonly name: string;
  readonly role: Role;
  readonly clinicName: string;
  readonly zone: string;
  /** Whom to call, by urgency, in the clinic's own words. */
  readonly calls: Calls;
}
/** Roles that may sign a decision; an assistant records, and signs nothing. */
export const mayRecord = ["clinician", "assistant", "lead"] as const;
export const signingRoles = ["clinician", "lead"] as const;
/** Roles that may set what holds for the whole clinic. */
export const settingRoles = ["lead"] as const;
