import { expect, it } from "vitest";
import { foundIn, markedChanges } from "./marked-today";

it("whom an entry names alone is ticked, with the hour of the first; who could be several is asked about", () => {
  const entries = [
    { title: "A", time: "09:00", episodeIds: ["a"] },
    { title: "A again", time: "15:00", episodeIds: ["a"] },
    { title: "B or C", time: "10:00", episodeIds: ["b", "c"] },
    { title: "Lunch", time: null, episodeIds: [] },
  ];
  expect([...foundIn({ entries })]).toEqual([["a", "09:00"]]);
});

it("only what changes is sent", () => {
  const row = (episodeId: string, time?: string | null) => ({
    episodeId,
    expected: time === undefined ? null : { time },
  });
  const rows = [row("same", "09:00"), row("later", "10:00"), row("gone", null), row("new"), row("never")];
  const marked = new Map<string, string | null>([
    ["same", "09:00"],
    ["later", "11:00"],
    ["new", null],
  ]);
  expect(markedChanges(rows, marked)).toEqual({
    on: [
      { episodeId: "later", time: "11:00" },
      { episodeId: "new", time: null },
    ],
    off: ["gone"],
  });
});
