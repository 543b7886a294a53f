import { expect, it } from "vitest";
import { typedNumber } from "./typed-number";

it.each([
  ["12", 12],
  [" 12,5 ", 12.5],
  ["0.5", 0.5],
  ["0", 0],
  ["", null],
  ["  ", null],
  ["12 kg", NaN],
  ["1,2,3", NaN],
])("%j is read as %s", (text, value) => expect(typedNumber(text)).toBe(value));
