import { Type, type TLiteral, type TUnion } from "@sinclair/typebox";

/**
 * A union of string literals, so that a list of codes is written once.
 *
 * @example oneOf(["left", "right"]).anyOf.length // 2
 */
export function oneOf<const T extends readonly string[]>(codes: T, description?: string) {
  return Type.Union(
    codes.map((code) => Type.Literal(code)),
    description ? { description } : {},
  ) as unknown as TUnion<{ -readonly [K in keyof T]: TLiteral<T[K] & string> }>;
}
