/** The kinds of entries of a record, in the order in which they are offered. Alone in its file, for views that carry no schemas. */
export const recordKinds = [
  "decision",
  "plan",
  "session",
  "report",
  "measures",
  "stage",
  "turn",
  "school",
  "passing",
  "clearance",
  "signal",
  "suspect",
  "document",
  "event",
  "condition",
  "word",
  "message",
  "harder",
] as const;
export type RecordKind = (typeof recordKinds)[number];
