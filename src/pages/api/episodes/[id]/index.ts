import { check } from "~/core/schema/check";
import { PainSchoolCode } from "~/core/response/pain-school";
import { readStair } from "~/server/episode/read-episode";
import { readEndpoint } from "~/server/http/endpoint";
import { refused } from "~/server/http/problem";

/** The stair of a patient; `?school=` previews another pain school on the same record. */
export const GET = readEndpoint(async (staff, { params, url }) => {
  const wanted = url.searchParams.get("school");
  if (wanted === null) return readStair(staff, params["id"] ?? "");
  const school = check(PainSchoolCode, wanted);
  if (!school.ok) throw refused([{ path: "school", problem: "is not a pain school" }]);
  return readStair(staff, params["id"] ?? "", school.value);
});
