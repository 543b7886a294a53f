import { describe, expect, it } from "vitest";
import { passwordProblem } from "./password-rules";

const known = ["Jorun Vask", "clinician@tarnstreet.example", "Tarn Street Physiotherapy"];

describe("a password", () => {
  it.each(["four grey mares at noon", "Tr0mpe-l'œil sans fin", "vask rides the night train"])(
    "%s is fine: length, not kinds of letters",
    (password) => expect(passwordProblem(password, known)).toBeNull(),
  );
  it.each([
    ["shortish", /at least 12/],
    ["          a           ", /at least 12/],
    ["password1234", /guessed first/],
    ["PASSWORD2024!", /guessed first/],
    ["iloveyou2iloveyou2", /guessed first/],
    ["aaaaaaaaaaaaaaaa", /too few different/],
    ["jorunvask2024", /your name/],
    ["Tarnstreet.Clinician", /your name/],
  ])("%s is refused", (password, why) => expect(passwordProblem(password, known)).toMatch(why));
});
