import { runCalculation } from "~/core/calculation/calculation";
import { findCalculation } from "~/catalogue/calculations";
import { fileBytes, readEndpoint } from "~/server/http/endpoint";
import { notFound, refused } from "~/server/http/problem";
import { readJson } from "~/server/http/read-body";

/** Runs a registered calculation; nothing is stored, so any signed-in role may. */
export const POST = readEndpoint(async (_staff, { params, request }) => {
  const definition = findCalculation(params["name"] ?? "");
  if (!definition) throw notFound();
  const result = runCalculation(definition, await readJson(request, fileBytes));
  if (!result.ok) throw refused(result.problems);
  return result.value as object;
});
