import { addDays } from "~/core/schedule/local-day";
import { problemIf, type FieldProblem } from "~/core/schema/field-problem";
import type { Lock, Placed, WeekQuestion } from "./week";

/** What is wrong with a week that its schema cannot say; `placed` as its own list where there is one. */
export function weekProblems(
  question: WeekQuestion & { readonly placed?: readonly Placed[] },
): FieldProblem[] {
  const { days, items, heldOver } = question;
  const first = days[0]?.date ?? "";
  const held = heldOver?.springDates ?? [];
  return [
    ...days.flatMap(({ date }, n) =>
      problemIf(date !== addDays(first, n), `/days/${n}/date`, "does not follow the day before it"),
    ),
    ...items.flatMap(({ id, minDays, maxDays }, n) => [
      ...problemIf(
        items.findIndex((other) => other.id === id) < n,
        `/items/${n}/id`,
        "is the id of another item",
      ),
      ...problemIf(minDays > maxDays, `/items/${n}/minDays`, "is more than maxDays"),
    ]),
    ...listProblems("placed", question.placed ?? [], question),
    ...listProblems("done", question.done ?? [], question),
    ...listProblems("locks", question.locks ?? [], question),
    ...(heldOver?.advancedSpringDates ?? []).flatMap((date, n) =>
      problemIf(!held.includes(date), `/heldOver/advancedSpringDates/${n}`, "is not among springDates"),
    ),
  ];
}

function listProblems(
  name: string,
  list: readonly (Placed | Lock)[],
  { items, days }: WeekQuestion,
): FieldProblem[] {
  const key = ({ item, date, ...rest }: Placed | Lock) => JSON.stringify([item, date, rest]);
  const seen = new Set<string>();
  return list.flatMap((entry, n) => {
    const isTwice = seen.has(key(entry));
    seen.add(key(entry));
    return [
      ...problemIf(
        !items.some(({ id }) => id === entry.item),
        `/${name}/${n}/item`,
        "is no item of the week",
      ),
      ...problemIf(
        !days.some(({ date }) => date === entry.date),
        `/${name}/${n}/date`,
        "is no day of the week",
      ),
      ...problemIf(isTwice, `/${name}/${n}`, "stands in the list already"),
    ];
  });
}
