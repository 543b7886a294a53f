import type { Still } from "~/core/measure/still";
import { bytes, id, instant, json, number, optional } from "./column";
import { fact } from "./fact";

/** Points placed in a picture at a visit; the picture is sealed. */
export const stills = fact({
  table: "result_stills",
  columns: {
    id: id("id"),
    visitId: id("visit_id"),
    points: json<Still["points"]>("points"),
    again: optional(json<NonNullable<Still["again"]>>("again")),
    width: number("width"),
    height: number("height"),
    picture: optional(bytes("picture")),
    recordedAt: instant("recorded_at"),
  },
  order: ["recorded_at", "id"],
  inCase: false,
});
