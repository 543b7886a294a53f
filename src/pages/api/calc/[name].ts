import { fileLimit, usualLimit } from "~/contract/endpoint";
import { answerOf } from "~/core/calculation/calculation";
import { findCalculation } from "~/catalogue/calculations/all";
import { answered, json, signedIn } from "~/server/http/serve";
import { notFound, refused } from "~/server/http/problem";
import { tools } from "~/server/solve/tools";
import { readJson } from "~/server/http/read-body";

/** Runs a registered calculation; nothing is stored, so any signed-in role may. */
export const POST = answered(async ({ params, request, locals }) => {
  signedIn(locals);
  const definition = findCalculation(params["name"] ?? "");
  if (!definition) throw notFound();
  const result = await answerOf(
    definition,
    await readJson(request, definition.takes === "record" ? fileLimit : usualLimit),
    tools,
  );
  if (!result.ok) throw refused(result.problems);
  return json(result.value);
});
