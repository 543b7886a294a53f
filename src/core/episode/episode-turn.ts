/** How an episode stands: worked on, waiting for the person to come back, or ended. */
export const episodeStates = ["active", "paused", "closed"] as const;
export type EpisodeState = (typeof episodeStates)[number];

/** What a clinician signs of the life of an episode. */
export const episodeTurns = ["discharge", "pause", "resume", "reopen"] as const;
export type EpisodeTurn = (typeof episodeTurns)[number];

const turnsFrom: Record<EpisodeState, readonly EpisodeTurn[]> = {
  active: ["pause", "discharge"],
  paused: ["resume", "discharge"],
  closed: ["reopen"],
};

/** How an episode stands by the instants in its head. @example episodeState({ endedAt: null, pausedAt: null }) // "active" */
export function episodeState({
  endedAt,
  pausedAt,
}: {
  readonly endedAt: string | null;
  readonly pausedAt: string | null;
}): EpisodeState {
  if (endedAt !== null) return "closed";
  return pausedAt === null ? "active" : "paused";
}

/** Whether a turn can be signed as an episode stands. @example mayTurn("closed", "pause") // false */
export const mayTurn = (state: EpisodeState, turn: EpisodeTurn): boolean => turnsFrom[state].includes(turn);
