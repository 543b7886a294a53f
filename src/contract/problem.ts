import { Type, type Static } from "@sinclair/typebox";

/** application/problem+json. `type` is stable; `problems` names fields. */
export const Problem = Type.Object({
  type: Type.String(),
  title: Type.String(),
  status: Type.Integer(),
  detail: Type.Optional(Type.String()),
  problems: Type.Optional(Type.Array(Type.Object({ path: Type.String(), problem: Type.String() }))),
  changed: Type.Optional(Type.Unknown({ description: "What stands now, after a 409" })),
});
export type Problem = Static<typeof Problem>;
