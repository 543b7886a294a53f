import { Type, type Static } from "@sinclair/typebox";
import { ItemRole } from "~/core/exercise/role";
import { problemIf, type FieldProblem } from "~/core/schema/field-problem";

const closed = { additionalProperties: false };
const id = Type.String({ minLength: 1, maxLength: 60 });

/** The order of a plan, what each exercise is in it for, and which are done in turn as a circuit. */
export const Arrangement = Type.Object(
  {
    entries: Type.Array(Type.Object({ itemId: id, role: ItemRole }, closed), { minItems: 1, maxItems: 60 }),
    circuits: Type.Array(
      Type.Object(
        {
          items: Type.Array(id, { maxItems: 20 }),
          /** Rest from round to round; there are as many rounds as the most sets of its exercises. */
          restSeconds: Type.Integer({ minimum: 0, maximum: 900 }),
        },
        closed,
      ),
      { maxItems: 10 },
    ),
  },
  closed,
);
export type Arrangement = Static<typeof Arrangement>;

/**
 * What is wrong with an arrangement of these exercises: one is left out, stands twice or is not in the plan; a circuit of fewer than
 * two, or torn apart.
 *
 * @param present ids of the exercises in the plan
 * @example arrangementProblems({ entries: [{ itemId: "a", role: "main" }], circuits: [] }, ["a", "b"])
 *   // [{ path: "/entries", problem: "leave out an exercise of the plan" }]
 */
export function arrangementProblems(
  { entries, circuits }: Arrangement,
  present: readonly string[],
): FieldProblem[] {
  const order = entries.map(({ itemId }) => itemId);
  const inCircuits = circuits.flatMap(({ items }) => items);
  const twiceIn = (all: readonly string[], at: number) => all.indexOf(all[at] ?? "") < at;
  return [
    ...order.flatMap((itemId, n) => [
      ...problemIf(!present.includes(itemId), `/entries/${n}/itemId`, "is not in this patient's plan"),
      ...problemIf(twiceIn(order, n), `/entries/${n}/itemId`, "stands twice"),
    ]),
    ...problemIf(
      present.some((itemId) => !order.includes(itemId)),
      "/entries",
      "leave out an exercise of the plan",
    ),
    ...circuits.flatMap(({ items }, n) => {
      const path = `/circuits/${n}/items`;
      const places = items.map((itemId) => order.indexOf(itemId)).sort((a, b) => a - b);
      const [first = 0] = places;
      return [
        ...problemIf(items.length < 2, path, "needs two exercises or more"),
        ...problemIf(places.includes(-1), path, "has an exercise that is not in this plan"),
        ...problemIf(
          items.some((itemId) => inCircuits.indexOf(itemId) !== inCircuits.lastIndexOf(itemId)),
          path,
          "has an exercise that stands in a circuit twice",
        ),
        ...problemIf(
          !places.includes(-1) &&
            new Set(places).size === places.length &&
            places.some((at, k) => at !== first + k),
          path,
          "is torn apart: its exercises must follow each other",
        ),
      ];
    }),
  ];
}
