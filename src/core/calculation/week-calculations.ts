import { judgeWeek, JudgeWeekInput, JudgeWeekOutput } from "~/core/week/judge-week";
import { planWeek, PlanWeekInput, PlanWeekOutput } from "~/core/week/plan-week";
import { weekProblems } from "~/core/week/week-problems";
import { calculation, type Calculation } from "./calculation";

const week = [
  "2026-03-09",
  "2026-03-10",
  "2026-03-11",
  "2026-03-12",
  "2026-03-13",
  "2026-03-14",
  "2026-03-15",
];
const example = {
  days: week.map((date, n) => ({
    date,
    minutes: n % 2 === 0 ? 30 : 0,
    places: [{ place: "home", kit: ["band"] }],
  })),
  items: [
    { id: "squat", minutes: 10, minDays: 2, maxDays: 3, lanes: ["quadriceps"], kit: [], heavyLegs: true },
    { id: "bridge", minutes: 8, minDays: 3, maxDays: 5, lanes: ["hamstrings"], kit: [] },
  ],
  stageLanes: ["quadriceps", "hamstrings"],
};
const source = "48 and 72 h between springs and contacts of a day NSCA, recalled; the rest common practice";

/** A week, judged and planned. */
export const weekCalculations: readonly Calculation[] = [
  calculation({
    name: "judge-week",
    says: "What a week as it is laid breaks, what it lacks, and what that costs.",
    source,
    input: JudgeWeekInput,
    output: JudgeWeekOutput,
    example: { ...example, placed: [{ item: "squat", date: "2026-03-09" }] },
    problems: weekProblems,
    run: judgeWeek,
  }),
  calculation({
    name: "plan-week",
    says: "The week with the least cost that breaks no hard rule, or what cannot hold together.",
    source,
    input: PlanWeekInput,
    output: PlanWeekOutput,
    example,
    problems: weekProblems,
    run: (input, { solver, now }) => planWeek(input, solver, now),
  }),
];
