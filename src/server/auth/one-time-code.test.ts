import { Secret } from "otpauth";
import { describe, expect, it } from "vitest";
import { addressFor, newSecret, stepOfCode } from "./one-time-code";

/** RFC 6238, appendix B, SHA-1: codes of eight digits; six digits are their last six (both are the same number modulo 10ⁿ). */
const rfc = Secret.fromLatin1("12345678901234567890").base32;
const vectors = [
  [59, "94287082"],
  [1111111109, "07081804"],
  [1111111111, "14050471"],
  [1234567890, "89005924"],
  [2000000000, "69279037"],
  [20000000000, "65353130"],
] as const;

describe("a code by time", () => {
  const at = (seconds: number) => new Date(seconds * 1000).toISOString();
  it.each(vectors)("at %d s it is %s, of which the last six digits are used", (seconds, eight) => {
    expect(stepOfCode(rfc, eight.slice(2), at(seconds), 0)).toBe(Math.floor(seconds / 30));
  });
  it("counts one step before and after, no further", () => {
    const [seconds, eight] = vectors[2];
    const step = Math.floor(seconds / 30);
    expect(stepOfCode(rfc, eight.slice(2), at(seconds + 30), 0)).toBe(step);
    expect(stepOfCode(rfc, eight.slice(2), at(seconds - 30), 0)).toBe(step);
    expect(stepOfCode(rfc, eight.slice(2), at(seconds + 60), 0)).toBeNull();
    expect(stepOfCode(rfc, eight.slice(2), at(seconds - 60), 0)).toBeNull();
  });
  it("is taken once: neither the same step again nor an earlier one", () => {
    const [seconds, eight] = vectors[2];
    const step = Math.floor(seconds / 30);
    expect(stepOfCode(rfc, eight.slice(2), at(seconds), step)).toBeNull();
    expect(stepOfCode(rfc, eight.slice(2), at(seconds), step - 1)).toBe(step);
  });
  it("is not what is no code", () => {
    for (const code of ["000000", "94287082", "", "abcdef"])
      expect(stepOfCode(rfc, code, at(59), 0)).toBeNull();
  });
});

describe("a secret", () => {
  it("has 160 bits and is never the same", () => {
    expect(Secret.fromBase32(newSecret()).bytes).toHaveLength(20);
    expect(newSecret()).not.toBe(newSecret());
  });
  it("goes to the app with issuer and account", () => {
    const address = new URL(addressFor(rfc, "lead@tarnstreet.example"));
    expect(address.protocol).toBe("otpauth:");
    expect(Object.fromEntries(address.searchParams)).toMatchObject({
      issuer: "Patient Stair",
      secret: rfc,
      digits: "6",
      period: "30",
    });
  });
});
