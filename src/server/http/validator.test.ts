import { Type } from "@sinclair/typebox";
import { Ajv } from "ajv";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { endpoints } from "~/contract/all";
import { SessionBody } from "~/contract/daily";
import { SignInBody } from "~/contract/clinic";
import { DecideInput } from "~/core/decision/record/decide-input";
import { decideExample } from "~/core/calculation/examples";
import { check } from "~/core/schema/check";
import { formats } from "~/core/schema/formats";
import { validator } from "./validator";

// JSON Schema draft 7, by the meta-schema that comes with Ajv.
it.each(Object.values(endpoints).flatMap(({ name, body }) => (body ? [[name, body] as const] : [])))(
  "what %s is sent is described by a schema",
  (_name, body) => {
    const strict = new Ajv({ strict: true, strictTypes: false, formats: { ...formats } });
    expect(strict.validateSchema(body)).toBe(true);
    expect(strict.validateSchema({ ...body, type: "nothing" })).toBe(false);
  },
);

/** How long this takes is measured by `npm run bench`. */
describe("a body that is wrong in very many places has a few of them named", () => {
  it("unknown keys, tens of thousands of them", () => {
    const body = Object.fromEntries(Array.from({ length: 60_000 }, (_, i) => [`k${i}`, i]));
    const answer = validator(SignInBody)(body);
    expect(answer.ok ? [] : answer.problems).toHaveLength(10);
    expect(answer.ok ? null : answer.problems[0]).toEqual({ path: "/email", problem: "is missing" });
  });

  it("a calculation's input of a megabyte", () => {
    const trainingDays = Array.from({ length: 30_000 }, () => ({ date: 1, sets: [{ side: "up" }] }));
    const answer = validator(DecideInput)({ ...decideExample, trainingDays });
    expect(answer.ok ? 0 : answer.problems.length).toBe(10);
  });
});

describe("the compiled check and the core's are one", () => {
  const Odd = Type.Object(
    {
      id: Type.String({ format: "uuid" }),
      at: Type.Optional(Type.String({ format: "date-time" })),
      on: Type.Optional(Type.String({ format: "date" })),
      reps: Type.Optional(Type.Integer({ minimum: 0, maximum: 200 })),
      effort: Type.Optional(Type.Number({ multipleOf: 0.5, maximum: 10 })),
      sides: Type.Optional(
        Type.Array(Type.Union([Type.Literal("left"), Type.Literal("right")]), { maxItems: 2 }),
      ),
    },
    { additionalProperties: false },
  );
  const compiled = validator(Odd);
  const session = validator(SessionBody);
  const value = fc.oneof(
    fc.constantFrom(
      "left",
      "2026-02-29",
      "2026-02-28",
      "2016-12-31T23:59:60Z",
      "2026-03-10T09:00:00Z",
      0.5,
      0.25,
      1e300,
      201,
    ),
    fc.jsonValue({ maxDepth: 2 }),
  );
  const body = fc.record(
    {
      id: fc.oneof(fc.uuid(), value),
      at: value,
      on: value,
      reps: value,
      effort: value,
      sides: fc.oneof(fc.array(value), value),
      more: value,
    },
    { requiredKeys: [] },
  );

  it("they accept and refuse the same bodies", () => {
    fc.assert(
      fc.property(body, (data) => {
        const sent: unknown = JSON.parse(JSON.stringify(data));
        expect(compiled(sent).ok).toBe(check(Odd, sent).ok);
        expect(session(sent).ok).toBe(check(SessionBody, sent).ok);
      }),
      { numRuns: 2_000 },
    );
  });
});
