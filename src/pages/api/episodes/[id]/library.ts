import { readPatientLibrary } from "~/server/catalogue/read-library";
import { readEndpoint } from "~/server/http/endpoint";

/** The library for one patient, with what was left out and why. */
export const GET = readEndpoint((staff, { params, url }) =>
  readPatientLibrary(staff, params["id"] ?? "", url.searchParams),
);
