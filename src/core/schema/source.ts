import { Type, type Static } from "@sinclair/typebox";
import { oneOf } from "./one-of";

/** Where a number or statement comes from; `recalled` until somebody has re-read the paper. */
export const Source = Type.Object(
  {
    kind: oneOf(["published", "common-practice", "product"]),
    cite: Type.Optional(Type.String({ maxLength: 200 })),
    recalled: Type.Optional(Type.Boolean()),
  },
  { additionalProperties: false },
);
export type Source = Static<typeof Source>;
