import { signingRoles } from "~/contract/roles";
import type { CaseFile } from "~/core/case/case-file";
import type { Voided, VoidedKind } from "~/core/schema/voided";
import { id, instant, text } from "./column";
import { fact } from "./fact";

/** Something of the record that is judged no more, with the reason. */
export const voidings = fact({
  table: "voidings",
  columns: {
    id: id("id"),
    at: instant("at"),
    kind: text<VoidedKind>("kind"),
    targetId: id("target_id"),
    reason: text("reason"),
  },
  by: "signed_by",
  order: ["at", "id"],
  inCase: true,
  ofPerson: true,
  whileResting: true,
  appendedBy: signingRoles,
  ofCase: (file) => [
    ...of("session", file.sessions),
    ...of("report", file.reports),
    ...of("result", file.results),
  ],
});

/** The voidings that stand with the facts of a case file. */
function of(
  kind: VoidedKind,
  facts: CaseFile["sessions"] | CaseFile["reports"] | CaseFile["results"],
): (Voided & { kind: VoidedKind; targetId: string })[] {
  return facts.flatMap(({ id: targetId, voided }) => (voided ? [{ ...voided, kind, targetId }] : []));
}
