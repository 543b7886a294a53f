import {
  BookOpen,
  CalendarClock,
  CalendarDays,
  ClipboardList,
  DoorOpen,
  Dumbbell,
  ListChecks,
  NotebookPen,
  Ruler,
  Scale,
  Smartphone,
  UserRound,
  Waypoints,
  type LucideIcon,
} from "lucide-react";
import type { MessageKey } from "~/messages/en";

/** A view of a patient: its path under the episode, its key, what it is called. */
export interface PatientViewLink {
  readonly path: string;
  readonly key: string;
  readonly says: MessageKey;
  readonly Icon: LucideIcon;
}

/** Every view of a patient, in the order in which they stand at its head. */
export const patientViews = [
  { path: "", key: "t", says: "frame.stair", Icon: Waypoints },
  { path: "session", key: "s", says: "frame.session", Icon: NotebookPen },
  { path: "measures", key: "m", says: "frame.measures", Icon: Ruler },
  { path: "gate", key: "g", says: "frame.gate", Icon: DoorOpen },
  { path: "plan", key: "p", says: "frame.plan", Icon: ListChecks },
  { path: "week", key: "w", says: "frame.week", Icon: CalendarDays },
  { path: "phone", key: "y", says: "frame.phone", Icon: Smartphone },
  { path: "lab", key: "o", says: "frame.lab", Icon: Scale },
  { path: "lifts", key: "f", says: "frame.lifts", Icon: Dumbbell },
  { path: "history", key: "h", says: "frame.history", Icon: CalendarClock },
  { path: "record", key: "r", says: "frame.record", Icon: ClipboardList },
  { path: "person", key: "i", says: "frame.person", Icon: UserRound },
  { path: "library", key: "b", says: "frame.library", Icon: BookOpen },
] as const satisfies readonly PatientViewLink[];

export type PatientViewPath = (typeof patientViews)[number]["path"];
