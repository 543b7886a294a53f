import { recordingRoles } from "~/contract/roles";
import type { otherLoads } from "~/core/response/session-record";
import { date, id, instant, number, optional, text } from "./column";
import { fact } from "./fact";

/** How somebody was on the morning after a training day. */
export const reports = fact({
  table: "next_day_reports",
  columns: {
    id: id("id"),
    trainingDate: date("training_date"),
    occurredAt: instant("occurred_at"),
    receivedAt: instant("received_at"),
    pain: number("pain"),
    stiffnessMinutes: optional(number("stiffness_minutes")),
    swelling: optional(text<"less" | "same" | "more">("swelling")),
    settledHours: optional(number("settled_hours")),
    loadTestPain: optional(number("load_test_pain")),
    otherLoad: optional(text<(typeof otherLoads)[number]>("other_load")),
  },
  by: "recorded_by",
  order: ["received_at", "id"],
  inCase: true,
  appendedBy: recordingRoles,
  fromPhones: true,
  ofCase: (file) =>
    file.reports.map(({ voided: _voided, ...report }) => ({ occurredAt: report.receivedAt, ...report })),
});
