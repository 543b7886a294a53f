/**
 * Guards for what was kept on a device or as a draft: another version of the product, or somebody else's hand, may have
 * written it, so its shape is asked for before it is used. Small on purpose: islands carry no schema validator.
 */
export type Guard<T> = (value: unknown) => value is T;
type Guards<T> = { readonly [K in keyof T]-?: Guard<T[K]> };

export const text: Guard<string> = (value) => typeof value === "string";
export const flag: Guard<boolean> = (value) => typeof value === "boolean";
export const number: Guard<number> = (value): value is number =>
  typeof value === "number" && Number.isFinite(value);

export const orNull =
  <T>(inner: Guard<T>): Guard<T | null> =>
  (value): value is T | null =>
    value === null || inner(value);

export const optional =
  <T>(inner: Guard<T>): Guard<T | undefined> =>
  (value): value is T | undefined =>
    value === undefined || inner(value);

export const oneOfThese =
  <const T extends string | number | null>(...allowed: readonly T[]): Guard<T> =>
  (value): value is T =>
    (allowed as readonly unknown[]).includes(value);

export const either =
  <A, B>(one: Guard<A>, other: Guard<B>): Guard<A | B> =>
  (value): value is A | B =>
    one(value) || other(value);

export const listOf =
  <T>(inner: Guard<T>): Guard<T[]> =>
  (value): value is T[] =>
    Array.isArray(value) && value.every(inner);

export const recordOf =
  <T>(inner: Guard<T>): Guard<Record<string, T>> =>
  (value): value is Record<string, T> =>
    isObject(value) && Object.values(value).every(inner);

/** An object with at least these fields, each of its kind. */
export const shape =
  <T extends object>(guards: Guards<T>): Guard<T> =>
  (value): value is T =>
    isObject(value) &&
    Object.entries<Guard<unknown>>(guards as Record<string, Guard<unknown>>).every(([key, fits]) =>
      fits(value[key]),
    );

/** Of a kept object, the fields that fit; what does not is left out. */
export function fittingFields<T extends object>(guards: Guards<T>, kept: unknown): Partial<T> {
  if (!isObject(kept)) return {};
  const entries = Object.entries<Guard<unknown>>(guards as Record<string, Guard<unknown>>);
  return Object.fromEntries(
    entries.filter(([key, fits]) => key in kept && fits(kept[key])).map(([key]) => [key, kept[key]]),
  ) as Partial<T>;
}

/** The JSON behind a text when it is of this shape, else null. */
export function parseKept<T>(json: string | null, fits: Guard<T>): T | null {
  if (json === null) return null;
  try {
    const value: unknown = JSON.parse(json);
    return fits(value) ? value : null;
  } catch {
    return null;
  }
}

function isObject(value: unknown): value is Record<string, unknown> {
  return typeof value === "object" && value !== null && !Array.isArray(value);
}
