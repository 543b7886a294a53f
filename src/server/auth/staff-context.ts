import type { Role } from "~/core/interchange/contract";

/** Who is asking. Every repository takes the clinic from here, never from the request. */
export interface StaffContext {
  readonly clinicId: string;
  readonly staffId: string;
  readonly name: string;
  readonly role: Role;
  readonly clinicName: string;
  readonly zone: string;
  readonly callWhom: string;
}
/** Roles that may sign a decision; an assistant records, and signs nothing. */
export const mayRecord = ["clinician", "assistant", "lead"] as const;
export const signingRoles = ["clinician", "lead"] as const;
