import type { EpisodeHead } from "~/server/case/episode-repository";

/** The day of an operation that is only planned, seen from a local date; null where there is none. */
export const plannedOn = ({ surgeryOn }: Pick<EpisodeHead, "surgeryOn">, today: string): string | null =>
  surgeryOn !== null && surgeryOn > today ? surgeryOn : null;
