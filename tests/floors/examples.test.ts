import { readdirSync, readFileSync } from "node:fs";
import { compileFunction } from "node:vm";
import { Type } from "@sinclair/typebox";
import { describe, expect, it } from "vitest";

/** Modules whose docstrings are looked through: everything that needs neither a page nor a server. */
const rooms = ["src/core", "src/contract"];

interface Example {
  readonly call: string;
  readonly answer: string;
}

/**
 * The examples of a source text: `@example call // answer`, the answer on the next line of the comment where it is long.
 * An answer is a literal; `…` after a number's digits stands for digits left out.
 */
function examplesOf(text: string): Example[] {
  return [...text.matchAll(/@example (.+?)(?:\n\s+\*\s+| )\/\/ (.+?)(?: \*\/)?$/gm)].map(
    ([, call = "", answer = ""]) => ({ call, answer }),
  );
}

/** Runs an expression with the given names in scope, in this realm. */
function value(expression: string, scope: Readonly<Record<string, unknown>>): unknown {
  const run = compileFunction(`return (${expression});`, Object.keys(scope)) as (
    ...all: unknown[]
  ) => unknown;
  return run(...Object.values(scope));
}

/** What the answer's text asks for: numbers to nine decimals, cut ones to the digits they have. */
function asked(answer: string): unknown {
  const cut = (digits: string) => {
    const decimals = digits.split(".")[1]?.length ?? 0;
    const middle = Number(digits) + (Math.sign(Number(digits)) * 0.5) / 10 ** decimals;
    return expect.closeTo(middle, decimals) as unknown;
  };
  const literal = answer.replaceAll(/(-?\d+\.\d+)…/g, 'cut("$1")');
  return tolerant(value(literal, { cut }));
}

function tolerant(wanted: unknown): unknown {
  if (typeof wanted === "number") return expect.closeTo(wanted, 9);
  if (Array.isArray(wanted)) return wanted.map(tolerant);
  if (wanted === null || Object.getPrototypeOf(wanted) !== Object.prototype) return wanted;
  return Object.fromEntries(Object.entries(wanted as object).map(([key, inner]) => [key, tolerant(inner)]));
}

const files = rooms
  .flatMap((room) =>
    readdirSync(room, { recursive: true, encoding: "utf8" }).map((name) => `${room}/${name}`),
  )
  .filter((name) => /\.ts$/.test(name) && !/\.test\.ts$/.test(name))
  .flatMap((name) => {
    const text = readFileSync(name, "utf8");
    return text.includes("@example") ? [{ name, text }] : [];
  });

describe.each(files)("$name", ({ name, text }) => {
  const examples = examplesOf(text);

  it("has every example in a form that can be run", () => {
    expect(examples).toHaveLength(text.split("@example").length - 1);
  });

  it.each(examples)("$call", async ({ call, answer }) => {
    const scope = { ...((await import(`../../${name}`)) as Record<string, unknown>), Type };
    // Wrapped, so that a plain number or word is matched like a part of an object: what is not written is not asked.
    expect({ answer: value(call, scope) }).toMatchObject({ answer: asked(answer) });
  });
});
