import path from "node:path";
import { expect, it } from "vitest";
import { imports } from "~tests/harness/imports";

/** Circles of a graph: groups of nodes each of which reaches all others (Tarjan 1972). */
function circles(edges: readonly [string, string][]): string[][] {
  const next = new Map<string, Set<string>>();
  for (const [from, to] of edges) if (from !== to) next.set(from, (next.get(from) ?? new Set()).add(to));
  const [index, low] = [new Map<string, number>(), new Map<string, number>()];
  const stack: string[] = [];
  const found: string[][] = [];
  const visit = (node: string) => {
    index.set(node, index.size);
    low.set(node, index.size - 1);
    stack.push(node);
    for (const other of next.get(node) ?? []) {
      if (!index.has(other)) visit(other);
      if (stack.includes(other)) low.set(node, Math.min(low.get(node) ?? 0, low.get(other) ?? 0));
    }
    if (low.get(node) !== index.get(node)) return;
    const group = stack.splice(stack.indexOf(node));
    if (group.length > 1) found.push(group.sort());
  };
  for (const node of next.keys()) if (!index.has(node)) visit(node);
  return found;
}

it("the search finds a circle where there is one", () => {
  expect(
    circles([
      ["a", "b"],
      ["b", "c"],
      ["c", "a"],
      ["c", "d"],
    ]),
  ).toEqual([["a", "b", "c"]]);
});

it("no file leads back to itself, and no room does", () => {
  const edges = imports();
  expect(edges.length).toBeGreaterThan(1_000);
  expect(circles(edges)).toEqual([]);
  expect(circles(edges.map(([from, to]) => [path.dirname(from), path.dirname(to)]))).toEqual([]);
});
