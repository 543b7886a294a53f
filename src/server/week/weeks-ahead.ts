import type { WeekAhead } from "~/contract/week";
import { limitsOf, limitsOfItem } from "~/core/case/in-force";
import { signedChangesOf } from "~/core/case/item-input";
import { variantOf, type Exercise } from "~/core/exercise/exercise";
import { stageOf } from "~/core/pathway/pathway";
import { addDays, localDay } from "~/core/schedule/local-day";
import { stepsAhead } from "~/core/week/steps-ahead";
import type { LoadedCase } from "~/server/case/make-case";
import { limitsTold } from "~/server/episode/limits-told";

const weeksLookedAt = 4;

/** A week and the three after it: limits that begin or end by their calendar, and the steps that schedules may take. */
export function weeksAhead(loaded: LoadedCase, startsOn: string): WeekAhead[] {
  const { file } = loaded;
  const today = localDay(file.asOf, file.zone);
  const until = addDays(startsOn, 7 * weeksLookedAt - 1);
  const review = loaded.review();
  const stage = stageOf(file.pathway, review.stage);
  const limits = limitsTold(limitsOf(file, stage), today);
  const steps = review.items
    .filter(({ proposal }) => proposal.outcome !== "stop")
    .flatMap((item) => {
      const exercise = file.exercises.find(({ id }) => id === item.exerciseId) as Exercise;
      const asked = {
        exercise,
        prescription: item.prescription,
        prescribedOn: localDay(item.prescribedAt, file.zone),
        changes: signedChangesOf(file, item.itemId),
        restrictions: limitsOfItem(file, stage, file.items.find(({ id }) => id === item.itemId) ?? {}),
        beside: review.items
          .filter((other) => other.exerciseId === item.exerciseId && other !== item)
          .map((other) => other.prescription),
      };
      return stepsAhead(asked, { today, until }, loaded.book()).map(({ variantId, ...step }) => ({
        itemId: item.itemId,
        ...step,
        variantName: variantId === null ? null : variantOf(exercise, variantId).name,
      }));
    });
  return Array.from({ length: weeksLookedAt }, (_, n) => {
    const [from, to] = [addDays(startsOn, 7 * n), addDays(startsOn, 7 * n + 6)];
    const isIn = (date: string | null) => date !== null && date >= from && date <= to;
    return {
      startsOn: from,
      begins: limits.filter((limit) => isIn(limit.from) && (limit.from ?? "") > today),
      ends: limits.filter((limit) => isIn(limit.until)),
      steps: steps.filter(({ on }) => isIn(on)),
    };
  });
}
