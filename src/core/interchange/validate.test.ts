import { Type } from "@sinclair/typebox";
import { expect, it } from "vitest";
import { check } from "./validate";

const Form = Type.Object(
  {
    name: Type.String({ minLength: 1, maxLength: 8, pattern: "\\S" }),
    bornOn: Type.String({ format: "date" }),
    side: Type.Union([Type.Literal("left"), Type.Literal("right")]),
  },
  { additionalProperties: false },
);

it.each([
  ["nothing typed", { name: "" }, { path: "/name", problem: "must not be empty" }],
  ["only blanks", { name: "  " }, { path: "/name", problem: "must not be empty" }],
  ["no such day", { bornOn: "2026-02-29" }, { path: "/bornOn", problem: "must be a date" }],
  ["neither side", { side: "" }, { path: "/side", problem: "must be one of: left, right" }],
  ["left out", { side: undefined }, { path: "/side", problem: "is missing" }],
  ["unknown", { shoe: 43 }, { path: "/shoe", problem: "is not a field of this form" }],
])("%s is said once, in words for the person who typed", (_what, over, problem) => {
  const sound = { name: "Runa", bornOn: "1985-04-02", side: "left" };
  expect(check(Form, sound).ok).toBe(true);
  const form = JSON.parse(JSON.stringify({ ...sound, ...over }));
  expect(check(Form, form)).toEqual({ ok: false, problems: [problem] });
});
