import type { GateView } from "~/contract/gate";
import { stageOf } from "~/core/pathway/pathway";
import { ageYears } from "~/core/schedule/age-years";
import { localDay } from "~/core/schedule/local-day";
import { signingRoles } from "~/contract/roles";
import { patientName } from "~/server/case/patient-name";
import type { StaffContext } from "~/server/staff-context";
import type { LoadedCase } from "~/server/case/make-case";
import { loadEpisode, noteRead } from "~/server/case/load-episode";

/** The gate a patient stands before, on one page. */
export async function readGate(staff: StaffContext, episodeId: string): Promise<GateView> {
  const loaded = await loadEpisode(staff, episodeId);
  await noteRead(staff, episodeId, "read-gate");
  return gateView(staff, loaded);
}

export function gateView(staff: StaffContext, loaded: LoadedCase): GateView {
  const { head, file, parts } = loaded;
  const review = loaded.review();
  const stage = stageOf(file.pathway, review.stage);
  const today = localDay(file.asOf, file.zone);
  const { activity, bornOn } = head.person;
  const stageName = (code: string) => file.pathway.stages.find((s) => s.code === code)?.name ?? code;
  return {
    episodeId: head.id,
    version: head.version,
    today,
    zone: file.zone,
    clinicName: staff.clinicName,
    person: patientName(loaded),
    age: ageYears(bornOn, today),
    activity,
    diagnosis: head.diagnosis,
    involvedSide: file.episode.involvedSide,
    onsetOn: file.episode.onsetOn,
    surgeryOn: file.episode.surgeryOn ?? null,
    beforeSurgery: stage.beforeSurgery === true,
    pathwayName: file.pathway.name,
    stages: file.pathway.stages.map(({ code, name }) => ({ code, name })),
    stage: stage.code,
    stageEnteredOn: review.stageEnteredOn,
    gate: review.gate,
    sources: Object.fromEntries((stage.gate?.criteria ?? []).map((c) => [c.id, c.source])),
    measureNames: Object.fromEntries(file.measures.map((measure) => [measure.code, measure.name])),
    moves: parts.stageMoves
      .map((move) => ({
        at: move.at,
        by: move.by,
        stageName: stageName(move.stage),
        kind: move.kind ?? ("place" as const),
        reason: move.reason,
        unmet: (move.gate?.criteria ?? []).filter((c) => c.required && !c.passes).map((c) => c.name),
      }))
      .reverse(),
    words: [...new Map(parts.criterionWords.map((word) => [word.criterion, word])).values()]
      .filter((word) => word.stage === stage.code)
      .map(({ criterion, reason, by, at }) => ({ criterion, reason, by, at })),
    maySign: signingRoles.includes(staff.role),
  };
}
