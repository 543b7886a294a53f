import { recordingRoles } from "~/contract/roles";
import type { footwears, otherLoads } from "~/core/response/session-record";
import type { Skipped } from "~/core/case/case-file";
import { flag, id, instant, json, number, optional, text } from "./column";
import { fact } from "./fact";

/** A session as it was recorded; its sets are a kind of their own. */
export const sessions = fact({
  table: "sessions",
  columns: {
    id: id("id"),
    at: instant("occurred_at"),
    receivedAt: instant("received_at"),
    supersedes: optional(id("supersedes")),
    painBefore: number("pain_before"),
    minutes: optional(number("minutes")),
    otherLoad: optional(text<(typeof otherLoads)[number]>("other_load")),
    footwear: optional(text<(typeof footwears)[number]>("footwear")),
    stillSore: optional(flag("still_sore")),
    alone: optional(flag("alone")),
    skipped: optional(json<Skipped[]>("skipped")),
  },
  by: "recorded_by",
  order: ["occurred_at", "id"],
  inCase: true,
  ofPerson: true,
  appendedBy: recordingRoles,
  fromPhones: true,
  bringsAlong: ["sets", "items", "prescriptions", "endings"],
  ofCase: (file) =>
    file.sessions.map(({ items: _sets, voided: _voided, ...session }) => ({
      ...session,
      receivedAt: session.receivedAt ?? session.at,
    })),
});
