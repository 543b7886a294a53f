import { doneBefore } from "~/core/case/done-before";
import { arrangedItems } from "~/core/case/arranged";
import { sameSetting } from "~/core/exercise/same-setting";
import { limitsOfItem, prescriptionInForce } from "~/core/case/in-force";
import type { CaseItem } from "~/core/case/case-file";
import { amountsOfDose, mostOf } from "~/core/dose/amounts";
import { firstPrescription, variantOf, type Exercise } from "~/core/exercise/exercise";
import type { Prescription } from "~/core/exercise/prescription";
import { obstacle } from "~/core/limit/obstacle";
import { stageOf } from "~/core/pathway/pathway";
import { prescriptionProblems } from "~/core/progression/prescription-problems";
import { localDay } from "~/core/schedule/local-day";
import type { LoadedCase } from "~/server/case/make-case";
import { refused } from "~/server/http/problem";
import { askIfMeant } from "~/server/write/meant-so";

const path = "/prescription";

/**
 * Refuses a prescription of the clinician's own for an item of the plan that makes no sense, that this body cannot do or that a
 * limit bars, and asks whether amounts that stand out are meant.
 *
 * @param before what the item is prescribed now
 * @throws ApiProblem 422 `refused-input` or `unusual`
 */
export function checkOwnPrescription(
  loaded: LoadedCase,
  item: CaseItem,
  { exercise, before, wanted }: { exercise: Exercise; before: Prescription; wanted: Prescription },
  meant: boolean | undefined,
): void {
  const { file } = loaded;
  const problems = prescriptionProblems(exercise, wanted, file.episode.involvedSide === "both", path);
  if (problems.length > 0) throw refused(problems);
  const plan = arrangedItems(file);
  const own = plan.find((entry) => entry.item.id === item.id);
  const twin = plan.some(
    (entry) =>
      entry !== own &&
      entry.item.exerciseId === exercise.id &&
      entry.role === own?.role &&
      sameSetting(prescriptionInForce(entry.item, file.asOf).prescription, wanted),
  );
  if (twin)
    throw refused([
      { path: `${path}/settings`, problem: "stand in the plan already as an exercise of their own" },
    ]);
  const variant = variantOf(exercise, wanted.variantId);
  const book = loaded.book();
  const told = book.demandOf(exercise, wanted);
  if (!told.ok && book.demandOf(exercise, firstPrescription(variant)).ok)
    throw refused([{ path: `${path}/settings`, problem: `go beyond this body: ${told.why}` }]);
  const limits = limitsOfItem(file, stageOf(file.pathway, loaded.review().stage), item);
  const stop = obstacle(wanted, variant, exercise, limits, localDay(file.asOf, file.zone), book);
  if (stop) throw refused([{ path, problem: `is blocked: ${stop.says}` }]);
  const known = [amountsOfDose(before.dose), amountsOfDose(variant.dose), doneBefore(file, exercise.id)];
  const typed = {
    now: amountsOfDose(wanted.dose),
    before: mostOf(known),
    pathOf: (key: string) => `${path}/dose/${key}`,
  };
  askIfMeant([typed], file, meant);
}
