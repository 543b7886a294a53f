import { fileLimit, usualLimit } from "~/contract/endpoint";
import { answerOf } from "~/core/calculation/calculation";
import { findCalculation } from "~/catalogue/calculations/all";
import { lacksFactor } from "~/server/lacks-factor";
import { answered, json } from "~/server/http/serve";
import { ApiProblem, factorNeeded, notFound, refused } from "~/server/http/problem";
import { tools } from "~/server/solve/tools";
import { readJson } from "~/server/http/read-body";

/** Runs a registered calculation; nothing is stored, so any signed-in role may. */
export const POST = answered(async ({ params, request, locals }) => {
  if (!locals.staff) throw new ApiProblem(401, "not-signed-in", "Sign in first.");
  if (lacksFactor(locals.staff)) throw factorNeeded();
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
