import { expect, it } from "vitest";
import { namedLike } from "./named-like";

const zoe = { person: { givenName: "Zoë", familyName: "Okafor-Lund" }, birthYear: 1985 };

it.each([
  ["", true],
  ["oka", true],
  ["ZOE", true],
  ["zoë lund", true],
  ["1985", true],
  ["zoe 1985", true],
  ["198", false],
  ["zoe 1986", false],
  ["ada", false],
])("%j: %s", (text, fits) => {
  expect(namedLike(zoe, text)).toBe(fits);
});
