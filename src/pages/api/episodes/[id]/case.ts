import { exportCase } from "~/core/case/case-file";
import { readCaseFile } from "~/server/episode/read-episode";
import { readEndpoint } from "~/server/http/endpoint";

/** The episode as a case file (*.stair.json), without identity. */
export const GET = readEndpoint(async (staff, { params }) => {
  const file = await readCaseFile(staff, params["id"] ?? "");
  return new Response(exportCase(file), {
    headers: {
      "content-type": "application/json",
      "content-disposition": 'attachment; filename="case.stair.json"',
      "cache-control": "no-store",
    },
  });
});
