import type { Preferences } from "~/contract/account";
import type { Calls } from "~/contract/clinic";
import type { Habits } from "~/contract/habits";
import type { Role } from "~/contract/roles";

/** Who is asking. Every repository takes the clinic from here, never from the request. */
export interface StaffContext {
  readonly clinicId: string;
  readonly staffId: string;
  readonly name: string;
  readonly email: string;
  readonly preferences: Preferences;
  readonly role: Role;
  /** Whether they sign in with a second factor. */
  readonly hasFactor: boolean;
  readonly clinicName: string;
  readonly zone: string;
  /** Whom to call, by urgency, in the clinic's own words. */
  readonly calls: Calls;
  /** What the clinic begins every patient with, and how it writes weights, lengths and dates. */
  readonly habits: Habits;
}
