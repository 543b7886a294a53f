import type { LabView } from "~/contract/lab";
import { clinicCatalogue } from "~/server/catalogue/clinic-catalogue";
import { readShelf } from "~/server/clinic/shelf";
import { loadBody } from "~/server/case/load-body";
import { loadEpisode, noteRead } from "~/server/case/load-episode";
import type { StaffContext } from "~/server/staff-context";
import { stairView } from "./stair-view";

/** The plan of a patient with the body that its loads are worked out for, noted as a read of the record. */
export async function readLab(staff: StaffContext, id: string): Promise<LabView> {
  const loaded = await loadEpisode(staff, id);
  await noteRead(staff, id, "read-lab");
  const [{ exercises }, { shelf }] = await Promise.all([clinicCatalogue(staff.clinicId), readShelf(staff)]);
  return {
    stair: stairView(staff, loaded),
    body: loadBody(loaded.file),
    bands: shelf.bands,
    library: exercises.map(({ id: code, name }) => ({ id: code, name })),
  };
}
