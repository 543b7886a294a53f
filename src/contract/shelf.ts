import { Type, type Static } from "@sinclair/typebox";
import { Band } from "~/core/band/band";
import { Shelf } from "~/core/exercise/shelf";
import { endpoint, type BodyLimit } from "./endpoint";
import { closed, orNull, uuid, written } from "./fields";
import { signingRoles } from "./roles";

/** What stands in a clinic to load with: weights, and bands as it measured them. */
export const ClinicShelf = Type.Object({ loadsKg: Shelf, bands: Type.Array(Band, { maxItems: 40 }) }, closed);
export type ClinicShelf = Static<typeof ClinicShelf>;

export const ShelfView = Type.Object(
  {
    shelf: ClinicShelf,
    /** The setting that holds; null where nothing was set. */
    settingId: orNull(uuid),
    maySet: Type.Boolean(),
  },
  closed,
);
export type ShelfView = Static<typeof ShelfView>;

export const ShelfBody = Type.Object(
  {
    id: uuid,
    shelf: ClinicShelf,
    /** The setting that was looked at. */
    after: orNull(uuid),
  },
  closed,
);
export type ShelfBody = Static<typeof ShelfBody>;

/** Forty bands of twenty points. */
const shelfLimit: BodyLimit = { bytes: 131_072, depth: 8 };

export const readShelf = endpoint({
  name: "readShelf",
  says: "The clinic's weights and measured bands",
  roles: "signed-in",
  answer: ShelfView,
});

export const setShelf = endpoint({
  name: "setShelf",
  says: "Set the clinic's weights and measured bands",
  roles: signingRoles,
  body: ShelfBody,
  limit: shelfLimit,
  answer: Type.Object({ ...written, view: ShelfView }, closed),
  stale: ShelfView,
  status: 201,
});
