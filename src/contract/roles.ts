import type { Static } from "@sinclair/typebox";
import { oneOf } from "~/core/schema/one-of";

export const roles = ["clinician", "assistant", "lead"] as const;
export const Role = oneOf(roles);
export type Role = Static<typeof Role>;

/** Roles that record; everybody who works with patients. */
export const recordingRoles: readonly Role[] = ["clinician", "assistant", "lead"];
/** Roles that may sign a decision; an assistant records, and signs nothing. */
export const signingRoles: readonly Role[] = ["clinician", "lead"];
/** Roles that may set what holds for the whole clinic. */
export const settingRoles: readonly Role[] = ["lead"];
