import { clinicCatalogue } from "~/server/catalogue/clinic-catalogue";
import { readEndpoint } from "~/server/http/endpoint";
import { notFound } from "~/server/http/problem";

/** One exercise of the clinic's catalogue, as it is in use. */
export const GET = readEndpoint(async (staff, { params }) => {
  const { exercises } = await clinicCatalogue(staff.clinicId);
  const found = exercises.find((exercise) => exercise.id === params["code"]);
  if (!found) throw notFound();
  return found;
});
