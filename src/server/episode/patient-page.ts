import type { PatientFrame } from "~/contract/frame";
import { forOnePage, loadEpisode } from "~/server/case/load-episode";
import type { StaffContext } from "~/server/staff-context";
import { patientFrame } from "./patient-frame";

/**
 * What a page of a patient shows: what stands at its head, and its view, from one loading of the record.
 *
 * @param read reads the view for who is signed in
 */
export async function patientPage<T>(
  signedIn: StaffContext,
  id: string,
  read: (staff: StaffContext, id: string) => Promise<T>,
): Promise<{ frame: PatientFrame; view: T }> {
  const staff = forOnePage(signedIn);
  const [loaded, view] = await Promise.all([loadEpisode(staff, id), read(staff, id)]);
  return { frame: patientFrame(staff, loaded), view };
}
