import type { Static, TSchema } from "@sinclair/typebox";
import { Ajv, type ErrorObject, type ValidateFunction } from "ajv";
import addFormats from "ajv-formats";

/** What is wrong with one field, in words for the person who sent it. */
export interface FieldProblem {
  /** Path such as /sets/0/painDuring; empty for the whole body. */
  readonly path: string;
  readonly problem: string;
}

export type Checked<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly problems: readonly FieldProblem[] };

const ajv = new Ajv({ allErrors: true, strict: true, strictTypes: false, $data: false });
addFormats.default(ajv, ["date", "date-time", "uuid", "email"]);
const compiled = new WeakMap<TSchema, ValidateFunction>();

/**
 * Checks unknown data against a schema: nothing is coerced, unknown keys and non-finite numbers are refused.
 * When to use: at every boundary where data come in. Not in the browser: compiling needs `eval`, which the
 * content policy forbids.
 */
export function check<S extends TSchema>(schema: S, data: unknown): Checked<Static<S>> {
  let validate = compiled.get(schema);
  if (!validate) {
    validate = ajv.compile(withoutId(schema));
    compiled.set(schema, validate);
  }
  if (validate(data)) return { ok: true, value: data as Static<S> };
  return { ok: false, problems: plain(validate.errors ?? []) };
}

/** The same schema object may be compiled under several parents, so its $id is left to the published page. */
function withoutId(schema: TSchema): object {
  return { ...schema, $id: undefined };
}

/** Alternatives of a union complain one by one; only what names a field helps the reader. */
function plain(errors: readonly ErrorObject[]): FieldProblem[] {
  const words = errors
    .filter((e) => e.keyword !== "if")
    .map((e) => ({ path: pathOf(e), problem: wordsFor(e) }));
  const literals = (path: string) => errors.filter((e) => e.keyword === "const" && e.instancePath === path);
  const seen = new Set<string>();
  return words
    .map((w) => {
      const options = literals(w.path).map((e) => String(e.params["allowedValue"]));
      return options.length > 1 ? { path: w.path, problem: `must be one of: ${options.join(", ")}` } : w;
    })
    .filter(({ path, problem }) => {
      const key = `${path} ${problem}`;
      return seen.has(key) ? false : seen.add(key);
    })
    .slice(0, 20);
}

function pathOf({ instancePath, keyword, params }: ErrorObject): string {
  if (keyword === "required") return `${instancePath}/${String(params["missingProperty"])}`;
  if (keyword === "additionalProperties") return `${instancePath}/${String(params["additionalProperty"])}`;
  return instancePath;
}

function wordsFor({ keyword, params, message }: ErrorObject): string {
  if (keyword === "required") return "is missing";
  if (keyword === "additionalProperties") return "is not a field of this form";
  if (keyword === "format" && params["format"] === "date") return "must be a date";
  const blank = keyword === "pattern" && params["pattern"] === "\\S";
  if (blank || (keyword === "minLength" && params["limit"] === 1)) return "must not be empty";
  return message ?? "is not valid";
}
