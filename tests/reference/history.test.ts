import { describe, expect, it } from "vitest";
import { faultsIn, type ReadSeen, type WriteSeen } from "~tests/harness/history";

/**
 * The histories of registers and queues in Herlihy and Wing 1990 (ACM TOPLAS 12(3), figures 1 and 2, from memory), as they are for a
 * record that only grows: what overlaps may fall either way, what came after may not.
 */
const write = (id: string, sentAt: number, answeredAt: number | null): WriteSeen => ({
  id,
  sentAt,
  answeredAt,
});
const read = (askedAt: number, answeredAt: number, version: number, ...ids: string[]): ReadSeen => ({
  askedAt,
  answeredAt,
  version,
  ids,
});

describe("a history that holds", () => {
  it.each([
    ["nothing at all", [], []],
    ["a write that overlaps a reading may be in it", [write("a", 0, 5)], [read(1, 4, 1, "a")]],
    ["or not", [write("a", 0, 5)], [read(1, 4, 0)]],
    ["one that was never answered may stand", [write("a", 0, null)], [read(9, 10, 1, "a")]],
    ["or not stand", [write("a", 0, null)], [read(9, 10, 0)]],
    [
      "two at once in either order",
      [write("a", 0, 9), write("b", 0, 9)],
      [read(1, 2, 1, "b"), read(10, 11, 2, "b", "a")],
    ],
  ])("%s", (_, writes, reads) => {
    expect(faultsIn(writes, reads)).toEqual([]);
  });
});

describe("one that does not", () => {
  it.each([
    ["an answered write is missing", [write("a", 0, 1)], [read(2, 3, 0)], /missing/],
    ["one stands twice", [write("a", 0, 1)], [read(2, 3, 1, "a", "a")], /twice/],
    ["read before it was sent", [write("a", 5, 6)], [read(1, 2, 1, "a")], /sent at 5/],
    ["from nowhere", [], [read(1, 2, 1, "x")], /never sent/],
    ["a reading goes back", [write("a", 0, 9)], [read(1, 2, 1, "a"), read(3, 4, 0)], /after version 1/],
    [
      "two orders",
      [write("a", 0, 9), write("b", 0, 9)],
      [read(1, 8, 1, "a"), read(1, 8, 2, "b")],
      /no one order/,
    ],
    ["one version, two contents", [write("a", 0, 9)], [read(1, 8, 1), read(1, 8, 1, "a")], /no one order/],
  ])("%s", (_, writes, reads, said) => {
    expect(faultsIn(writes, reads).join()).toMatch(said);
  });
});
