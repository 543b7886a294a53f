import type { Static } from "@sinclair/typebox";
import { oneOf } from "~/core/schema/one-of";

/** What an exercise is in a plan for: to prepare, to train, to be done when there is time, or to be looked at. */
export const itemRoles = ["primer", "main", "optional", "test"] as const;
export const ItemRole = oneOf(itemRoles);
export type ItemRole = Static<typeof ItemRole>;

/** Whether the engine makes an exercise of this role harder: a primer must not tire, a test must stay comparable. */
export const isStepped = (role: ItemRole): boolean => role === "main" || role === "optional";
