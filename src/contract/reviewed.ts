// A record looked at again: by other rules, by its own, and day by day.
import { Type } from "@sinclair/typebox";
import { SchoolComparison } from "~/core/review/compare-schools";
import { DayByDay } from "~/core/review/day-by-day";
import { Replay } from "~/core/review/replay-decisions";
import { endpoint } from "./endpoint";
import { closed, date, uuid } from "./fields";

export const compareSchools = endpoint({
  name: "compareSchools",
  says: "One exercise's record judged by every pain school",
  roles: "signed-in",
  query: Type.Object({ item: uuid }, closed),
  answer: SchoolComparison,
});

export const replayDecisions = endpoint({
  name: "replayDecisions",
  says: "Signed proposals made again from the record",
  roles: "signed-in",
  answer: Replay,
});

export const readDays = endpoint({
  name: "readDays",
  says: "The episode day by day: known, proposed, signed, what came of it",
  roles: "signed-in",
  query: Type.Object({ from: Type.Optional(date) }, closed),
  answer: DayByDay,
});
