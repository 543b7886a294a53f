import { conditions } from "~/catalogue/conditions/all";
import { procedures } from "~/catalogue/procedures/all";
import type { HistoryView } from "~/contract/history";
import { signingRoles } from "~/contract/roles";
import { limitsOf } from "~/core/case/in-force";
import { conditionsAt } from "~/core/condition/condition";
import { standingEvents } from "~/core/event/standing-events";
import { measuredMass } from "~/core/case/measured-body";
import { stageOf } from "~/core/pathway/pathway";
import { localDay } from "~/core/schedule/local-day";
import { loadEpisode, noteRead } from "~/server/case/load-episode";
import type { LoadedCase } from "~/server/case/make-case";
import { limitsTold } from "~/server/episode/limits-told";
import { plannedOn } from "~/server/episode/planned-on";
import { patientName } from "~/server/case/patient-name";
import type { StaffContext } from "~/server/staff-context";

/** What happened to somebody, what is so with them, and what that limits. */
export async function readHistory(staff: StaffContext, episodeId: string): Promise<HistoryView> {
  const loaded = await loadEpisode(staff, episodeId);
  await noteRead(staff, episodeId, "read-history");
  return historyView(staff, loaded);
}

export function historyView(staff: StaffContext, loaded: LoadedCase): HistoryView {
  const { head, file, parts } = loaded;
  const today = localDay(file.asOf, file.zone);
  const stage = stageOf(file.pathway, loaded.review().stage);
  const standing = new Set(standingEvents(file.events ?? [], file.asOf).map(({ id }) => id));
  const nameOf = (code: string) => procedures.find((procedure) => procedure.code === code)?.name ?? code;
  return {
    episodeId: head.id,
    version: head.version,
    person: patientName(loaded),
    involvedSide: head.involvedSide,
    diagnosis: head.diagnosis,
    today,
    zone: file.zone,
    onsetOn: file.episode.onsetOn,
    plannedOn: plannedOn(head, today),
    events: parts.events
      .filter(({ id }) => standing.has(id))
      .map(({ id, kind, on, procedures: done = [], graft, limits: brought = [], reason, by, at }) => ({
        id,
        kind,
        on,
        procedures: done.map((code) => ({ code, name: nameOf(code) })),
        graft: graft ?? null,
        sheet: brought.filter(({ origin }) => origin === "surgeon"),
        reason,
        by,
        at,
      }))
      .sort((a, b) => b.on.localeCompare(a.on)),
    limits: limitsTold(limitsOf(file, stage), today),
    conditions: conditionsAt(file.conditions ?? [], file.asOf).map(
      ({ code, short, says, at, limits: own }) => ({
        code,
        short,
        says,
        at,
        limits: own.map((limit) => limit.says),
      }),
    ),
    elsewhere: parts.elsewhere.flatMap(({ problems }) => problems),
    procedures: procedures.map(({ code, name, grafts = [], asksWeight = false, limits: brought }) => ({
      code,
      name,
      grafts: [...grafts],
      asksWeight,
      limits: brought.map(({ id, limit, untilDay, grafts: only = [] }) => ({
        id,
        says: limit.says,
        untilDay: untilDay ?? null,
        grafts: [...only],
      })),
    })),
    conditionChoices: conditions
      .filter(({ code }) => code !== "growing")
      .map(({ code, asks }) => ({ code, asks })),
    bodyMassKg: measuredMass(loaded.file),
    maySign: signingRoles.includes(staff.role),
  };
}
