import { Type, type Static } from "@sinclair/typebox";
import { LoadBody } from "./load-body";
import { endpoint } from "./endpoint";
import { StairView } from "./episode";
import { closed } from "./fields";

/** What the load lab starts from: the plan as it stands, and the body. */
export const LabView = Type.Object({ stair: StairView, body: LoadBody }, closed);
export type LabView = Static<typeof LabView>;

export const readLab = endpoint({
  name: "readLab",
  says: "The plan and the body that the load lab starts from",
  roles: "signed-in",
  answer: LabView,
});
