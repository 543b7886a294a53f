import { signingRoles } from "~/contract/roles";
import type { StageMove } from "~/core/case/case-file";
import { id, instant, json, optional, text } from "./column";
import { fact } from "./fact";

/** A move to a stage, with the gate as it stood when it was signed. */
export const stageMoves = fact({
  table: "stage_moves",
  columns: {
    id: id("id"),
    at: instant("at"),
    stage: text("stage"),
    reason: text("reason"),
    kind: text<NonNullable<StageMove["kind"]>>("kind"),
    gate: optional(json<NonNullable<StageMove["gate"]>>("gate")),
  },
  by: "signed_by",
  order: ["at", "id"],
  inCase: true,
  appendedBy: signingRoles,
  ofCase: ({ stageMoves: moves }) => moves.map((move) => ({ ...move, kind: move.kind ?? "place" })),
});
