import { ImportBody } from "~/core/interchange/plan-contract";
import { signingRoles } from "~/server/auth/staff-context";
import { exportExercises, importExercises } from "~/server/catalogue/change-catalogue";
import { fileBytes, readEndpoint, writeEndpoint } from "~/server/http/endpoint";

/** The clinic's own exercises, for download. */
export const GET = readEndpoint(async (staff) => {
  const file = await exportExercises(staff);
  return new Response(`${JSON.stringify(file, null, 2)}\n`, {
    headers: {
      "content-type": "application/json",
      "content-disposition": 'attachment; filename="own.exercises.json"',
      "cache-control": "no-store",
    },
  });
});

/** Takes such a file over, all or nothing. */
export const POST = writeEndpoint(ImportBody, signingRoles, importExercises, fileBytes);
