import { Type, type Static } from "@sinclair/typebox";
import { LoadBody } from "./load-body";
import { endpoint } from "./endpoint";
import { StairView } from "./episode";
import { closed, code } from "./fields";
import { ClinicShelf } from "./shelf";

/** What the load lab starts from: the plan as it stands, the body, and what else the clinic's library has. */
export const LabView = Type.Object(
  {
    stair: StairView,
    body: LoadBody,
    /** The clinic's bands as it measured them. */
    bands: ClinicShelf.properties.bands,
    library: Type.Array(Type.Object({ id: code, name: Type.String() }, closed)),
  },
  closed,
);
export type LabView = Static<typeof LabView>;

export const readLab = endpoint({
  name: "readLab",
  says: "The plan, the body and the exercises that the load lab starts from",
  roles: "signed-in",
  answer: LabView,
});
