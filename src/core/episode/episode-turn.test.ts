import { expect, it } from "vitest";
import { episodeState, episodeStates, episodeTurns, mayTurn } from "./episode-turn";

const at = "2026-03-10T09:00:00.000Z";

it.each([
  [null, null, "active"],
  [null, at, "paused"],
  [at, null, "closed"],
  // Discharged while it rested.
  [at, at, "closed"],
] as const)("ended %s, paused %s: %s", (endedAt, pausedAt, state) => {
  expect(episodeState({ endedAt, pausedAt })).toBe(state);
});

it("what can be signed as an episode stands", () => {
  const table = Object.fromEntries(
    episodeStates.map((state) => [state, episodeTurns.filter((turn) => mayTurn(state, turn))]),
  );
  expect(table).toEqual({
    active: ["discharge", "pause"],
    paused: ["discharge", "resume"],
    closed: ["reopen"],
  });
});
