import { signingRoles } from "~/contract/roles";
import type { EpisodeTurn } from "~/core/episode/episode-turn";
import { id, instant, optional, text } from "./column";
import { fact } from "./fact";

/** A turn in the life of an episode: discharged, paused, taken up again, opened again. */
export const turns = fact({
  table: "episode_turns",
  columns: {
    id: id("id"),
    at: instant("at"),
    kind: text<EpisodeTurn>("kind"),
    reason: text("reason"),
    summary: optional(text("summary")),
  },
  by: "signed_by",
  order: ["at", "id"],
  inCase: true,
  changesHead: true,
  whileResting: true,
  appendedBy: signingRoles,
});
