import { v5 as uuidOf } from "uuid";
import type { Restriction } from "~/core/limit/restriction";
import { id, instant, json } from "./column";
import { fact } from "./fact";

/** Limits that an episode began with, from before intakes were taken here. */
export const restrictions = fact({
  table: "restrictions",
  columns: { id: id("id"), at: instant("at"), limit: json<Restriction>("body") },
  by: "set_by",
  order: ["at", "id"],
  inCase: true,
  ofCase: ({ episode, restrictions: limits }) =>
    limits.map((limit, n) => ({ id: uuidOf(`limit ${n}`, episode.id), at: episode.startedAt, limit })),
});
