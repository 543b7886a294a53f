import type { LiftBody, LiftsWritten, SmallDoseBody } from "~/contract/lifts";
import { liftProblems, standingLifts, unlikelyAbove } from "~/core/lift/lift";
import { smallDoseNow } from "~/core/case/small-dose-now";
import { smallDoseProblems } from "~/core/lift/small-dose";
import { localDay } from "~/core/schedule/local-day";
import { lifts } from "~/server/facts/lifts";
import { smallDoses } from "~/server/facts/small-doses";
import { appendFact } from "~/server/facts/sql";
import { sayWeight, t } from "~/messages/say";
import { refused } from "~/server/http/problem";
import { unusual } from "~/server/write/meant-so";
import type { StaffContext } from "~/server/staff-context";
import { writeInto, type Fact, type WriteScope } from "~/server/write/write-into";
import { liftsView } from "./read-lifts";

/** Records a lift of somebody's own training, or the correction of one. */
export function recordLift(staff: StaffContext, episodeId: string, body: LiftBody): Promise<LiftsWritten> {
  const fact: Fact = { of: "lifts", body, action: "record-lift" };
  return writeLifts(staff, episodeId, fact, async ({ db, writing, loaded: { file } }) => {
    const { meant = false, ...entry } = body;
    const standing = standingLifts(file.lifts ?? []);
    const problems = liftProblems(entry, standing, localDay(writing.at, file.zone));
    if (problems.length > 0) throw refused(problems);
    const heaviest = meant ? null : unlikelyAbove(entry, standing);
    if (heaviest !== null)
      throw unusual([{ path: "/loadKg", problem: t("lifts.farAbove", { load: sayWeight(heaviest) }) }]);
    await appendFact(db, writing, lifts, { ...entry, movement: entry.movement.trim(), at: writing.at });
  });
}

/** Signs what is tried for loads that stall, with the day to look again. */
export function signSmallDose(
  staff: StaffContext,
  episodeId: string,
  body: SmallDoseBody,
): Promise<LiftsWritten> {
  const fact: Fact = { of: "smallDoses", body, action: "sign-small-dose" };
  return writeLifts(staff, episodeId, fact, async ({ db, writing, loaded }) => {
    const { next } = smallDoseNow(loaded.file);
    const today = localDay(writing.at, loaded.file.zone);
    const problems = smallDoseProblems(body, { next, today });
    if (problems.length > 0) throw refused(problems);
    const { id, step, lookOn, note = "" } = body;
    await appendFact(db, writing, smallDoses, { id, at: writing.at, step, lookOn, note: note.trim() });
  });
}

async function writeLifts(
  staff: StaffContext,
  episodeId: string,
  fact: Fact,
  write: (scope: WriteScope) => Promise<void>,
): Promise<LiftsWritten> {
  const { repeated, seen } = await writeInto(staff, episodeId, fact, write, (loaded) =>
    liftsView(staff, loaded),
  );
  return { id: fact.body.id, repeated, lifts: seen };
}
