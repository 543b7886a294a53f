import { readFileSync } from "node:fs";
import { expect, it } from "vitest";

const { dependencies } = JSON.parse(readFileSync("package.json", "utf8")) as {
  dependencies: Record<string, string>;
};

it("every package that the product is made with stands in NOTICE at its version, with its terms", () => {
  const lines = readFileSync("NOTICE", "utf8").split("\n");
  const without = Object.entries(dependencies).filter(
    ([name, version]) => !lines.some((line) => line.startsWith(`${name}@${version} | `)),
  );
  expect(without).toEqual([]);
});
