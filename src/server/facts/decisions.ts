import { signingRoles } from "~/contract/roles";
import type { CaseDecision } from "~/core/case/case-file";
import { id, instant, json, number, orNull, text } from "./column";
import { fact } from "./fact";

/** A clinician's answer to a proposal, with the proposal as it stood. */
export const decisions = fact({
  table: "decisions",
  columns: {
    id: id("id"),
    itemId: id("item_id"),
    at: instant("at"),
    action: text<CaseDecision["action"]>("action"),
    reason: orNull(text("reason")),
    school: text<CaseDecision["school"]>("school"),
    engineVersion: text("engine_version"),
    proposal: json<CaseDecision["proposal"]>("proposal"),
    applied: orNull(json<NonNullable<CaseDecision["applied"]>>("applied")),
    signedChange: orNull(json<NonNullable<CaseDecision["signedChange"]>>("signed_change")),
    episodeVersion: number("episode_version"),
  },
  by: "signed_by",
  order: ["at", "id"],
  inCase: true,
  appendedBy: signingRoles,
  bringsAlong: ["prescriptions"],
  ofCase: (file) =>
    file.decisions.map(({ signedBy: _name, ...decision }, n) => ({
      ...decision,
      engineVersion: decision.proposal.engineVersion,
      episodeVersion: n + 1,
    })),
});
