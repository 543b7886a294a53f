import { readEndpoint } from "~/server/http/endpoint";
import { readSchools } from "~/server/episode/read-schools";

/** One exercise's record under every pain school; `?item=` names the exercise. */
export const GET = readEndpoint((staff, { params, url }) =>
  readSchools(staff, params["id"] ?? "", url.searchParams.get("item") ?? ""),
);
