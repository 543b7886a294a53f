import type { Calls } from "~/contract/clinic";
import type { Habits } from "~/contract/habits";
import type { Writer } from "~/server/writer";

/** A patient's own phone: it reads and adds to one person's record, and nothing else. */
export interface PhoneContext extends Writer {
  readonly staffId: null;
  readonly phoneId: string;
  readonly episodeId: string;
  readonly clinicName: string;
  /** Whom to call, by urgency, in the clinic's own words. */
  readonly calls: Calls;
  readonly habits: Habits;
}
