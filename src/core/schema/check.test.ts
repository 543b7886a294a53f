import { Type } from "@sinclair/typebox";
import { describe, expect, it } from "vitest";
import { check } from "./check";
import { isDate, isInstant, isUuid } from "./formats";

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

describe("formats", () => {
  it.each([
    ["2016-12-31T23:59:60Z", false],
    ["2026-03-10T09:00:00Z", true],
    ["2026-03-10T09:00:00.123+02:00", true],
    ["2026-03-10T09:00:00", false],
    ["2026-03-10 09:00:00Z", false],
    ["2026-02-30T09:00:00Z", false],
    ["2026-03-10T24:00:00Z", false],
    ["0999-03-10T09:00:00Z", false],
  ])("an instant: %s is %s", (text, sound) => {
    expect(isInstant(text)).toBe(sound);
    if (sound) expect(Number.isFinite(Date.parse(text))).toBe(true);
  });
  it.each([
    ["01890a5d-ac96-774b-bcce-b302099a8057", true],
    ["urn:uuid:01890a5d-ac96-774b-bcce-b302099a8057", false],
    ["01890a5dac96774bbcceb302099a8057", false],
  ])("an id: %s is %s", (text, sound) => expect(isUuid(text)).toBe(sound));
  it.each([
    ["2024-02-29", true],
    ["2023-02-29", false],
    ["2026-13-01", false],
    ["2026-00-10", false],
    ["26-01-10", false],
  ])("a day: %s is %s", (text, sound) => expect(isDate(text)).toBe(sound));
});

describe("a union", () => {
  const Limit = Type.Union([
    Type.Object({ kind: Type.Literal("angle"), degrees: Type.Number({ maximum: 160 }) }),
    Type.Object({ kind: Type.Literal("note"), says: Type.String() }),
  ]);
  it.each([
    [{ kind: "angle", degrees: 200 }, "/degrees", "must be 160 or less"],
    [{ kind: "note" }, "/says", "is missing"],
    [{ kind: "brace" }, "/kind", "must be one of: angle, note"],
    [{}, "/kind", "must be one of: angle, note"],
    [7, "", "must be of a known kind: angle, note"],
  ])("%j: speaks of the alternative that was meant", (data, path, problem) => {
    expect(check(Limit, data)).toEqual({ ok: false, problems: [{ path, problem }] });
  });
});
