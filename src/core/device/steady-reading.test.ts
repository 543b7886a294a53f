import { expect, it } from "vitest";
import { standIns, standInTrial } from "./stand-in";
import { steadyReading } from "./steady-reading";

it("a scale that stands still for a second is read, one that moves is not", () => {
  const { sampleHz } = standIns.scale;
  const pulled = standInTrial({ kind: "scale", event: "clean", peak: 60, seed: 5 });
  expect(Math.abs((steadyReading(pulled.slice(0, 4 * sampleHz), sampleHz) ?? 0) - 60)).toBeLessThan(2.5);
  // Still on its way up.
  expect(steadyReading(pulled.slice(0, 1.5 * sampleHz), sampleHz)).toBeNull();
  expect(steadyReading(pulled.slice(0, 0.5 * sampleHz), sampleHz)).toBeNull();
});
