import { amountsOfDose, amountsOfSets, mostOf, type Amounts } from "~/core/dose/amounts";
import { isVoided } from "~/core/schema/voided";
import type { CaseFile } from "./case-file";

/**
 * The most that was prescribed or done of an exercise so far, amount by amount.
 *
 * @param except a session that is being corrected and counts no more
 */
export function doneBefore(
  { items, sessions }: Pick<CaseFile, "items" | "sessions">,
  exerciseId: string,
  except?: string,
): Amounts {
  const own = items.filter((item) => item.exerciseId === exerciseId);
  const ids = new Set(own.map(({ id }) => id));
  const valid = sessions.filter((session) => !isVoided(session));
  const corrected = new Set([except, ...valid.map(({ supersedes }) => supersedes)]);
  return mostOf([
    ...own.flatMap(({ prescriptions }) =>
      prescriptions.map(({ prescription }) => amountsOfDose(prescription.dose)),
    ),
    ...valid
      .filter(({ id }) => !corrected.has(id))
      .flatMap((session) => session.items.filter(({ itemId }) => ids.has(itemId)))
      .map(({ sets }) => amountsOfSets(sets)),
  ]);
}
