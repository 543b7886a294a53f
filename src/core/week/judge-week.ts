import { Type, type Static } from "@sinclair/typebox";
import { oneOf } from "~/core/schema/one-of";
import { hardRules } from "./hard-rules";
import { hardBreaches, type Breach } from "./judge-hard";
import { laidWeek, type LaidWeek } from "./laid-week";
import { costOf, shortfalls, softWeights, type Shortfall, type SoftRule } from "./soft-rules";
import { Placed, weekFields } from "./week";
import { sayBreach, sayShortfall } from "./words";

const closed = { additionalProperties: false };
const softCodes = Object.keys(softWeights) as [SoftRule, ...SoftRule[]];

export const JudgeWeekInput = Type.Object(
  { ...weekFields, placed: Type.Array(Placed, { maxItems: 420 }) },
  closed,
);
export type JudgeWeekInput = Static<typeof JudgeWeekInput>;

const where = {
  item: Type.Optional(Type.String()),
  date: Type.Optional(Type.String()),
} as const;
export const HardBreach = Type.Object({ rule: oneOf(hardRules), ...where, words: Type.String() }, closed);
export type HardBreach = Static<typeof HardBreach>;
export const SoftShortfall = Type.Object(
  {
    rule: oneOf(softCodes),
    amount: Type.Number(),
    ...where,
    lane: Type.Optional(Type.String()),
    words: Type.String(),
  },
  closed,
);
export type SoftShortfall = Static<typeof SoftShortfall>;

export const JudgeWeekOutput = Type.Object(
  { hard: Type.Array(HardBreach), soft: Type.Array(SoftShortfall), cost: Type.Number() },
  closed,
);
export type JudgeWeekOutput = Static<typeof JudgeWeekOutput>;

/**
 * A week as it is laid: hard rules that are broken, what is lacking softly, and the cost of it.
 *
 * When to use: after a move by hand. Not for finding a week: see planWeek.
 *
 * @returns breaches in the order of the rules, then of the dates; what is lacking with its amount; the cost, 0 or more
 * @example judgeWeek({ days: [0, 1, 2, 3, 4, 5, 6].map((n) => ({ date: `2026-03-0${n + 1}`, minutes: 30, places: [] })), items: [], stageLanes: [], placed: [] }).cost // 0
 * Source: rules of spacing (48 and 72 h between springs, contacts of a day) NSCA, recalled; the rest common practice.
 */
export function judgeWeek({ placed, ...question }: JudgeWeekInput): JudgeWeekOutput {
  const week = laidWeek(question, placed);
  const lacking = shortfalls(week);
  return {
    hard: hardBreaches(week).map((breach) => toldBreach(week, breach)),
    soft: lacking.map((shortfall) => toldShortfall(week, shortfall)),
    cost: costOf(lacking),
  };
}

export function toldBreach(week: LaidWeek, breach: Breach): HardBreach {
  return { rule: breach.rule, ...placeOf(week, breach), words: sayBreach(week, breach) };
}

export function toldShortfall(week: LaidWeek, shortfall: Shortfall): SoftShortfall {
  const { rule, amount, lane } = shortfall;
  return {
    rule,
    amount,
    ...placeOf(week, shortfall),
    ...(lane === undefined ? {} : { lane }),
    words: sayShortfall(week, shortfall),
  };
}

function placeOf(week: LaidWeek, { item, day }: { readonly item?: number; readonly day?: number }) {
  const [id, date] = [week.items[item ?? -1]?.id, week.days[day ?? -1]?.date];
  return { ...(id === undefined ? {} : { item: id }), ...(date === undefined ? {} : { date }) };
}
