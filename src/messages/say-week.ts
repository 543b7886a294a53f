import type { WeekPiece } from "~/contract/week";
import { laneCodes } from "~/core/exercise/body";
import { label } from "./say";

/** Words of the planner, which knows items by their id and lanes by their code, as a person reads them. */
export function sayWeekWords(words: string, pieces: readonly Pick<WeekPiece, "itemId" | "name">[]): string {
  const named = pieces.reduce((text, { itemId, name }) => text.replaceAll(itemId, name), words);
  const lane = laneCodes.find((code) => named.startsWith(`${code} on`));
  return lane ? named.replace(lane, label("lane", lane)) : named;
}
