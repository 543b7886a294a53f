import { v7 as uuid } from "uuid";
import type { DecisionBody } from "~/contract/daily";
import type { StairItem, StairView, Written } from "~/contract/episode";
import type { StaffContext } from "~/server/staff-context";
import { ApiProblem, refused } from "~/server/http/problem";
import { decisions } from "~/server/facts/decisions";
import { prescriptions } from "~/server/facts/prescriptions";
import { haltsOf } from "~/core/case/stops";
import { signAnswer } from "~/core/review/signed-change";
import { appendFact } from "~/server/facts/sql";
import { stairView } from "./stair-view";
import { writeFact } from "~/server/episode/write-fact";
import { checkOwnPrescription } from "./check-own-prescription";

/**
 * Signs a clinician's answer to a proposal: accept, change or refuse. The proposal is computed again from the record
 * while the episode is locked; if it rests on another version than the one seen, nothing is signed and the
 * answer (409) shows what stands now.
 */
export async function signDecision(
  staff: StaffContext,
  episodeId: string,
  body: DecisionBody,
): Promise<Written> {
  const fact = { of: "decisions", body, action: `sign-${body.action}` } as const;
  return writeFact(staff, episodeId, fact, async ({ db, writing, loaded }) => {
    const view = stairView(staff, loaded);
    const item = view.items.find((candidate) => candidate.itemId === body.itemId);
    const planned = loaded.file.items.find(({ id }) => id === body.itemId);
    if (!item || !planned) throw refused([{ path: "/itemId", problem: "is not in this patient's plan" }]);
    if (body.expectedVersion !== loaded.head.version) throw stale(view, item);
    if (body.prescription) {
      const { exercise, prescription: before } = item;
      checkOwnPrescription(loaded, planned, { exercise, before, wanted: body.prescription }, body.meant);
    }
    const signed = signAnswer(body, { ...item, halted: haltsOf(loaded.file).length > 0 }, writing.at);
    if (!signed.ok) throw refused(signed.problems);
    const { applied, signedChange } = signed;
    await appendFact(db, writing, decisions, {
      id: body.id,
      itemId: body.itemId,
      at: writing.at,
      action: body.action,
      reason: body.reason?.trim() ?? null,
      school: view.school,
      engineVersion: item.proposal.engineVersion,
      proposal: item.proposal,
      applied,
      signedChange,
      episodeVersion: loaded.head.version,
    });
    if (applied && "prescription" in applied) {
      await appendFact(db, writing, prescriptions, {
        id: uuid(),
        itemId: body.itemId,
        from: writing.at,
        decisionId: body.id,
        prescription: applied.prescription,
      });
    }
  });
}

function stale(view: StairView, item: StairItem): ApiProblem {
  const { lastDecision, proposal } = item;
  return new ApiProblem(409, "stale", "The record changed while you were looking. Nothing was signed.", {
    changed: { version: view.version, lastDecision, proposal, stair: view },
  });
}
