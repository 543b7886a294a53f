import type { EventLine } from "~/contract/history";
import type { SheetLine } from "./sheet-line";

/** The form of an event as typed. */
export interface EventFields {
  kind: EventLine["kind"];
  on: string;
  procedures: string[];
  graft: string;
  /** Last days that the surgeon's sheet sets for what the procedures bring along, by procedure and limit; empty for the usual. */
  ends: Record<string, string>;
  sheet: SheetLine[];
  reason: string;
}
