import type { Static, TSchema } from "@sinclair/typebox";
import { Ajv } from "ajv";
import { check } from "~/core/schema/check";
import type { Checked } from "~/core/schema/field-problem";
import { formats } from "~/core/schema/formats";

// Stops at the first thing that is wrong: finding everything that is wrong with a hostile body is work for the sender's benefit.
const ajv = new Ajv({
  allErrors: false,
  strict: true,
  strictTypes: false,
  $data: false,
  // That the contract's schemas are schemas is proved by a test, not by every process as it starts.
  meta: false,
  validateSchema: false,
  formats: { ...formats },
});

/**
 * Compiles a schema of the contract into a check for request bodies. Sound data pass compiled code; what is refused gets its
 * words from the same check as everywhere else, a few at most.
 */
export function validator<S extends TSchema>(schema: S): (data: unknown) => Checked<Static<S>> {
  // The same schema object may be compiled under several parents, so its $id is left to the published page.
  const fits = ajv.compile({ ...schema, $id: undefined });
  return (data) => {
    if (fits(data)) return { ok: true, value: data as Static<S> };
    const checked = check(schema, data);
    if (!checked.ok) return checked;
    const [first] = fits.errors ?? [];
    return {
      ok: false,
      problems: [{ path: first?.instancePath ?? "", problem: first?.message ?? "is not valid" }],
    };
  };
}
