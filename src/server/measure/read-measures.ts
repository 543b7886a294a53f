import { startingMeasures } from "~/catalogue/measures/all";
import { measuresOfGate } from "~/core/gate/measures-in";
import type { MeasuresView } from "~/contract/measures";
import type { Measure } from "~/core/measure/measure";
import { measureStatus } from "~/core/measure/measure-status";
import { barredMeasures } from "~/core/case/in-force";
import { stageOf } from "~/core/pathway/pathway";
import { localDay } from "~/core/schedule/local-day";
import { recordingRoles } from "~/contract/roles";
import { patientName } from "~/server/case/patient-name";
import type { StaffContext } from "~/server/staff-context";
import type { LoadedCase } from "~/server/case/make-case";
import { loadEpisode, noteRead } from "~/server/case/load-episode";

/** The measures of a patient: all that can be taken, and where those taken stand. */
export async function readMeasures(staff: StaffContext, episodeId: string): Promise<MeasuresView> {
  const loaded = await loadEpisode(staff, episodeId);
  await noteRead(staff, episodeId, "read-measures");
  return measuresView(staff, loaded);
}

export function measuresView(staff: StaffContext, loaded: LoadedCase): MeasuresView {
  const { head, file } = loaded;
  const review = loaded.review();
  const stage = stageOf(file.pathway, review.stage);
  const measures = measuresFor(file.measures);
  const taken = new Set(file.results.map((result) => result.measure));
  const { involvedSide, surgeryOn } = file.episode;
  return {
    episodeId: head.id,
    version: head.version,
    person: patientName(loaded),
    involvedSide,
    today: localDay(file.asOf, file.zone),
    stageName: stage.name,
    measures,
    status: measures
      .filter((measure) => taken.has(measure.code))
      .map((measure) => measureStatus(measure, file.results, involvedSide, surgeryOn)),
    battery: review.gate?.measureNext ?? [],
    gateMeasures: measuresOfGate(stage.gate),
    barred: barredMeasures({ ...file, measures }, stage),
    mayRecord: recordingRoles.includes(staff.role),
  };
}

/** The clinic's measures, each in the version that the episode began with where it has one. */
export function measuresFor(attached: readonly Measure[]): Measure[] {
  const own = new Map(attached.map((measure) => [measure.code, measure]));
  const starting = startingMeasures.map((measure) => own.get(measure.code) ?? measure);
  const known = new Set(starting.map((measure) => measure.code));
  return [...starting, ...attached.filter((measure) => !known.has(measure.code))];
}
