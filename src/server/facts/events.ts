import { signingRoles } from "~/contract/roles";
import type { CaseEvent } from "~/core/event/event";
import { date, flag, id, instant, json, optional, text } from "./column";
import { fact } from "./fact";

/** What happened to somebody, and when; an operation with everything it limits. */
export const events = fact({
  table: "events",
  columns: {
    id: id("id"),
    at: instant("at"),
    kind: text<CaseEvent["kind"]>("kind"),
    on: date("happened_on"),
    procedures: optional(json<NonNullable<CaseEvent["procedures"]>>("procedures")),
    graft: optional(text("graft")),
    limits: optional(json<NonNullable<CaseEvent["limits"]>>("limits")),
    supersedes: optional(id("supersedes")),
    withdrawn: optional(flag("withdrawn")),
    reason: text("reason"),
  },
  by: "signed_by",
  order: ["at", "id"],
  inCase: true,
  ofPerson: true,
  appendedBy: signingRoles,
  ofCase: (file) => file.events ?? [],
});
