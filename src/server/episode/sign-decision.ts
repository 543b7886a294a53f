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
import { doneBefore } from "~/core/case/done-before";
import { limitsOfItem } from "~/core/case/in-force";
import { amountsOfDose, mostOf } from "~/core/dose/amounts";
import { firstPrescription, variantOf } from "~/core/exercise/exercise";
import type { Prescription } from "~/core/exercise/prescription";
import { obstacle } from "~/core/limit/obstacle";
import { stageOf } from "~/core/pathway/pathway";
import { prescriptionProblems } from "~/core/progression/prescription-problems";
import { localDay } from "~/core/schedule/local-day";
import type { LoadedCase } from "~/server/case/make-case";
import { askIfMeant } from "~/server/write/meant-so";

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
    if (!item) throw refused([{ path: "/itemId", problem: "is not in this patient's plan" }]);
    if (body.expectedVersion !== loaded.head.version) throw stale(view, item);
    if (body.prescription) checkOwn(loaded, item, body.prescription, body.meant);
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

/** A prescription of the clinician's own must make sense, keep every limit, and be meant where amounts stand out. */
function checkOwn(
  loaded: LoadedCase,
  { itemId, exercise, prescription: before }: StairItem,
  prescription: Prescription,
  meant: boolean | undefined,
): void {
  const { file } = loaded;
  const both = file.episode.involvedSide === "both";
  const problems = prescriptionProblems(exercise, prescription, both, "/prescription");
  if (problems.length > 0) throw refused(problems);
  const told = loaded.book().demandOf(exercise, prescription);
  const isDrawn = loaded
    .book()
    .demandOf(exercise, firstPrescription(variantOf(exercise, prescription.variantId))).ok;
  if (!told.ok && isDrawn)
    throw refused([{ path: "/prescription/settings", problem: `go beyond this body: ${told.why}` }]);
  const own = file.items.find(({ id }) => id === itemId);
  const limits = own ? limitsOfItem(file, stageOf(file.pathway, loaded.review().stage), own) : [];
  const variant = variantOf(exercise, prescription.variantId);
  const today = localDay(file.asOf, file.zone);
  const stop = obstacle(prescription, variant, exercise, limits, today, loaded.book());
  if (stop) throw refused([{ path: "/prescription", problem: `is blocked: ${stop.says}` }]);
  const known = mostOf([
    amountsOfDose(before.dose),
    amountsOfDose(variant.dose),
    doneBefore(file, exercise.id),
  ]);
  const typed = {
    now: amountsOfDose(prescription.dose),
    before: known,
    pathOf: (key: string) => `/prescription/dose/${key}`,
  };
  askIfMeant([typed], file, meant);
}

function stale(view: StairView, item: StairItem): ApiProblem {
  const { lastDecision, proposal } = item;
  return new ApiProblem(409, "stale", "The record changed while you were looking. Nothing was signed.", {
    changed: { version: view.version, lastDecision, proposal, stair: view },
  });
}
