import { expect, it } from "vitest";
import type { StairItem } from "~/contract/episode";
import { markPlaces } from "./mark-places";
import { wrapWords } from "./wrap-words";
import { markRadius, stairGeometry } from "./stair-geometry";

const item = (itemId: string, lane: string, progress: number) => ({ itemId, lane, progress }) as StairItem;

it("marks of one lane never touch, and marks keep clear of the next stage's wall", () => {
  const shape = stairGeometry(680, 6, 2, 3);
  const items = [1, 1, 0.98, 0.4].map((progress, i) => item(`a${i}`, "adductors", progress));
  const places = [...markPlaces(items, ["adductors", "trunk"], shape).values()];
  const wall = shape.label(4).x - shape.label(4).width / 2;
  for (const [i, place] of places.entries()) {
    expect(place.x + markRadius).toBeLessThanOrEqual(wall + 0.01);
    for (const other of places.slice(i + 1))
      expect(Math.abs(place.x - other.x)).toBeGreaterThanOrEqual(2 * markRadius);
  }
});

it("marks of all lanes keep clear of each other on a phone, where six lanes are a finger apart", () => {
  const lanes = ["adductors", "knee-extensors", "hamstrings", "trunk", "spring", "balance"];
  for (const present of [0, 1, 3, 5]) {
    const shape = stairGeometry(330, 6, lanes.length, present);
    for (const progress of [0, 0.4, 1]) {
      const items = lanes.map((lane) => item(lane, lane, progress));
      const places = [...markPlaces(items, lanes, shape).values()];
      for (const [i, place] of places.entries()) {
        expect(place.x - markRadius).toBeGreaterThan(0);
        expect(place.x + markRadius).toBeLessThan(330);
        for (const other of places.slice(i + 1)) {
          expect(Math.hypot(place.x - other.x, place.y - other.y)).toBeGreaterThanOrEqual(2 * markRadius);
        }
      }
    }
  }
});

it("more marks than a lane has room for still all stand there, one beside the other", () => {
  const shape = stairGeometry(330, 6, 1, 2);
  const items = Array.from({ length: 9 }, (_, n) => item(`a${n}`, "adductors", 1));
  const places = markPlaces(items, ["adductors"], shape);
  expect(new Set([...places.values()].map(({ x }) => x)).size).toBe(9);
});

it("further along is further right", () => {
  const shape = stairGeometry(680, 6, 3, 1);
  const at = (progress: number) => shape.onLane(2, progress).x;
  expect(at(0)).toBeLessThan(at(0.5));
  expect(at(0.5)).toBeLessThan(at(1));
});

it("a stair fits its width on a tablet and on a phone, wherever somebody stands", () => {
  for (const width of [330, 690]) {
    for (let present = 0; present < 6; present += 1) {
      const shape = stairGeometry(width, 6, 5, present);
      const last = shape.label(5);
      expect(last.x + last.width / 2).toBeLessThanOrEqual(width);
      expect(shape.gateFoot(1).y).toBeGreaterThanOrEqual(0);
    }
  }
});

it("names of stages are broken between words only", () => {
  expect(wrapWords("Strength and control", 11)).toEqual(["Strength", "and control"]);
  expect(wrapWords("Run, jump, turn", 20)).toEqual(["Run, jump, turn"]);
  expect(wrapWords("Bridge and lengthen lightly", 6)).toEqual(["Bridge", "and", "lengthen", "lightly"]);
});
