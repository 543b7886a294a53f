/** The database has no id of a version from 8 on whose variant is below 9; versions in use (1 to 7) are all there. */
const uuidShape =
  /^[0-9a-f]{8}-[0-9a-f]{4}-(?:[0-7][0-9a-f]{3}-[0-9a-f]|[89a-f][0-9a-f]{3}-[9a-f])[0-9a-f]{3}-[0-9a-f]{12}$/i;
const dateShape = /^([1-9]\d{3})-(\d{2})-(\d{2})$/;
const instantShape =
  /^(\d{4}-\d{2}-\d{2})T(?:[01]\d|2[0-3]):[0-5]\d:[0-5]\d(?:\.\d{1,9})?(?:Z|[+-](?:[01]\d|2[0-3]):[0-5]\d)$/;

/**
 * An id as clients make them and the database keeps them: hexadecimal in five groups, nothing before it.
 *
 * @example isUuid("ab954d5f-d1ba-dec3-1226-734aa2ee12fb") // false
 * @example isUuid("urn:uuid:01890a5d-ac96-774b-bcce-b302099a8057") // false
 */
export const isUuid = (text: string): boolean => uuidShape.test(text);

/**
 * A day of the calendar, YYYY-MM-DD, from the year 1000 on (what the database keeps).
 *
 * @example isDate("2026-02-29") // false
 */
export function isDate(text: string): boolean {
  const [, year, month, day] = dateShape.exec(text) ?? [];
  if (year === undefined) return false;
  const date = new Date(Date.UTC(Number(year), Number(month) - 1, Number(day)));
  return date.getUTCMonth() === Number(month) - 1 && date.getUTCDate() === Number(day);
}

/**
 * An instant with its offset, to the second or finer. No leap seconds: neither the clock nor the database has any.
 *
 * @example isInstant("2016-12-31T23:59:60Z") // false
 */
export function isInstant(text: string): boolean {
  const day = instantShape.exec(text)?.[1];
  return day !== undefined && isDate(day);
}

/** The formats that schemas of the product may name. */
export const formats: Readonly<Record<string, (text: string) => boolean>> = {
  uuid: isUuid,
  date: isDate,
  "date-time": isInstant,
};
