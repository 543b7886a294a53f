import type { CaseDay } from "./case-days";
import type { CaseFile } from "./case-file";
import { prescriptionInForce } from "./in-force";

/** An exercise of a session that another session of the same day holds too. */
export interface DoneTwice {
  readonly sessionId: string;
  readonly itemId: string;
  /** When the other session was. */
  readonly at: string;
}

/**
 * Exercises that stand in more sessions of one day than bouts are prescribed for a day: written down twice, or by two people
 * who do not agree. Told of the day's last two sessions with it, each with when the other was.
 *
 * @param days the training days of the case, which leave out what was corrected or voided
 */
export function doneTwice({ items }: Pick<CaseFile, "items">, days: readonly CaseDay[]): DoneTwice[] {
  return days.flatMap(({ sessions }) =>
    items.flatMap((item) => {
      const own = sessions.filter((session) => session.items.some(({ itemId }) => itemId === item.id));
      const last = own.at(-1);
      const before = own.at(-2);
      if (!last || !before) return [];
      const { dose } = prescriptionInForce(item, last.at).prescription;
      if (own.length <= (dose.boutsPerDay ?? 1)) return [];
      return [
        { sessionId: last.id, itemId: item.id, at: before.at },
        { sessionId: before.id, itemId: item.id, at: last.at },
      ];
    }),
  );
}
