import { FormatRegistry, Kind, type Static, type TSchema } from "@sinclair/typebox";
import { Value, ValueErrorType, type ValueError } from "@sinclair/typebox/value";
import type { Checked, FieldProblem } from "./field-problem";
import { formats } from "./formats";

for (const [name, fits] of Object.entries(formats)) FormatRegistry.Set(name, fits);

/** As many problems as one reads; and as many as are looked at for them, so that a huge body costs no more. */
const toldAtMost = 10;
const lookedAtMost = 400;

/**
 * Checks unknown data against a schema: nothing is coerced, unknown keys and non-finite numbers are refused. Takes time
 * in proportion to the data, however much of it is wrong.
 * When to use: wherever data come into the core. Needs no compiling, so it runs under any content policy.
 *
 * @returns the value, or its first problems, one a field
 * @example check(Type.Object({ reps: Type.Integer() }), { reps: 2.5 }).problems
 *   // [{ path: "/reps", problem: "must be a whole number" }]
 */
export function check<S extends TSchema>(schema: S, data: unknown): Checked<Static<S>> {
  if (Value.Check(schema, data)) return { ok: true, value: data as Static<S> };
  return { ok: false, problems: firstProblems(schema, data) };
}

function firstProblems(schema: TSchema, data: unknown): FieldProblem[] {
  const told = new Map<string, string>();
  let looked = 0;
  for (const error of Value.Errors(schema, data)) {
    for (const { path, problem } of said(error)) if (!told.has(path)) told.set(path, problem);
    looked += 1;
    if (told.size >= toldAtMost || looked >= lookedAtMost) break;
  }
  return [...told].slice(0, toldAtMost).map(([path, problem]) => ({ path, problem }));
}

/** An error in words; one of a union is that of the alternative that was meant. */
function said(error: ValueError): FieldProblem[] {
  const { type, path, schema } = error;
  if (type !== ValueErrorType.Union) return [{ path, problem: wordsFor(error) }];
  const alternatives: TSchema[] = schema["anyOf"] ?? [];
  const literals = alternatives.flatMap((one) => (one[Kind] === "Literal" ? [String(one["const"])] : []));
  if (literals.length === alternatives.length)
    return [
      {
        path,
        problem: literals.length > 1 ? `must be one of: ${literals.join(", ")}` : `must be ${literals[0]}`,
      },
    ];
  const meant = alternatives.findIndex((one) => isMeant(one, error.value));
  const inner = meant < 0 ? undefined : error.errors[meant];
  const found = inner ? [...takeSome(inner)].flatMap(said) : [];
  return found.length > 0 ? found : [kindProblem(path, alternatives, error.value)];
}

function* takeSome(errors: Iterable<ValueError>): Generator<ValueError> {
  let n = 0;
  for (const error of errors) {
    if (n >= toldAtMost) return;
    n += 1;
    yield error;
  }
}

/** Whether data look like this alternative: the same kind of thing, and the same literals in the fields that have some. */
function isMeant(schema: TSchema, value: unknown): boolean {
  switch (schema[Kind]) {
    case "Object": {
      if (typeof value !== "object" || value === null || Array.isArray(value)) return false;
      const properties: Record<string, TSchema> = schema["properties"];
      return Object.entries(properties).every(
        ([key, field]) =>
          field[Kind] !== "Literal" || (value as Record<string, unknown>)[key] === field["const"],
      );
    }
    case "Array":
      return Array.isArray(value);
    case "Integer":
      return typeof value === "number";
    default:
      return typeof value === schema["type"];
  }
}

/** What is wrong with something that is none of several kinds: the field that says which, where there is one. */
function kindProblem(path: string, alternatives: readonly TSchema[], value: unknown): FieldProblem {
  const kind = alternatives.find((one) => one[Kind] === "Object");
  const named = Object.entries<TSchema>(kind?.["properties"] ?? {}).find(
    ([, field]) => field[Kind] === "Literal",
  );
  if (!named) return { path, problem: "is not of a kind that is known here" };
  const known = alternatives.flatMap((one) => one["properties"]?.[named[0]]?.["const"] ?? []);
  const kinds = [...new Set(known)].join(", ");
  return typeof value === "object" && value !== null
    ? { path: `${path}/${named[0]}`, problem: `must be one of: ${kinds}` }
    : { path, problem: `must be of a known ${named[0]}: ${kinds}` };
}

const formatWords: Readonly<Record<string, string>> = {
  date: "must be a date",
  "date-time": "must be a date with a time and an offset",
  uuid: "must be an id (UUID)",
};

function wordsFor({ type, schema, message }: ValueError): string {
  switch (type) {
    case ValueErrorType.ObjectRequiredProperty:
      return "is missing";
    case ValueErrorType.ObjectAdditionalProperties:
      return "is not a field of this form";
    case ValueErrorType.Literal:
      return `must be ${String(schema["const"])}`;
    case ValueErrorType.StringFormat:
      return formatWords[schema["format"]] ?? "has not the right form";
    case ValueErrorType.StringPattern:
      return schema["pattern"] === "\\S" ? "must not be empty" : "has not the right form";
    case ValueErrorType.StringMinLength:
      return schema["minLength"] === 1
        ? "must not be empty"
        : `must have ${schema["minLength"]} letters or more`;
    case ValueErrorType.StringMaxLength:
      return `must not have more than ${schema["maxLength"]} letters`;
    case ValueErrorType.ArrayMinItems:
      return schema["minItems"] === 1
        ? "must not be empty"
        : `must have ${schema["minItems"]} entries or more`;
    case ValueErrorType.ArrayMaxItems:
      return `must not have more than ${schema["maxItems"]} entries`;
    case ValueErrorType.IntegerMinimum:
    case ValueErrorType.NumberMinimum:
      return `must be ${schema["minimum"]} or more`;
    case ValueErrorType.IntegerMaximum:
    case ValueErrorType.NumberMaximum:
      return `must be ${schema["maximum"]} or less`;
    case ValueErrorType.IntegerExclusiveMinimum:
    case ValueErrorType.NumberExclusiveMinimum:
      return `must be more than ${schema["exclusiveMinimum"]}`;
    case ValueErrorType.IntegerExclusiveMaximum:
    case ValueErrorType.NumberExclusiveMaximum:
      return `must be less than ${schema["exclusiveMaximum"]}`;
    case ValueErrorType.IntegerMultipleOf:
    case ValueErrorType.NumberMultipleOf:
      return `must go in steps of ${schema["multipleOf"]}`;
    case ValueErrorType.Integer:
      return "must be a whole number";
    case ValueErrorType.Number:
      return "must be a number";
    case ValueErrorType.String:
      return "must be text";
    case ValueErrorType.Boolean:
      return "must be true or false";
    case ValueErrorType.Array:
      return "must be a list";
    case ValueErrorType.Object:
      return "must be an object";
    default:
      return message;
  }
}
