import type { MessageKey } from "./en";
import { hasWord, wordOf } from "./words";

export type Values = Record<string, string | number | boolean>;

const dateFormats = new Map<string, Intl.DateTimeFormat>();

/** Stands where a sentence lacks a value: a gap in the words is better than a view that is gone. */
const gap = "…";
const everyValue: ProxyHandler<Values> = {
  get: (given, name) => (typeof name === "string" ? (given[name] ?? gap) : undefined),
};

/**
 * The text behind a key, with its values put in; a value that nobody gave leaves a gap, and never throws. In the browser a view
 * has the words of the groups that its sources mention: write keys where they are used, not put together elsewhere.
 */
export function t(key: MessageKey, values: Values = {}): string {
  const word = wordOf(key);
  if (word === undefined) {
    // eslint-disable-next-line no-console -- a word that is missing in the browser is a fault of the build, and tests listen
    console.error(`no words for ${key}`);
    return key;
  }
  return typeof word === "string" ? word : word(new Proxy(values, everyValue));
}

/** True for a key that the message file has; for codes that come from data. */
export const isKey = (key: string): key is MessageKey => hasWord(key);

/** The text behind a key made from data, or the data itself when the message file does not know it. */
export function label(prefix: string, code: string): string {
  const key = `${prefix}.${code}`;
  return isKey(key) ? t(key) : code;
}

/** Formatters by zone; making one is slow, using it is not. */
function dateFormat(timeZone: string, withTime: boolean): Intl.DateTimeFormat {
  const key = `${timeZone} ${withTime}`;
  let format = dateFormats.get(key);
  if (!format) {
    const time = withTime ? ({ hour: "2-digit", minute: "2-digit" } as const) : {};
    format = new Intl.DateTimeFormat("en-GB", {
      weekday: "short",
      day: "numeric",
      month: "short",
      ...time,
      timeZone,
    });
    dateFormats.set(key, format);
  }
  return format;
}

/** A local calendar date in words: Tue 24 Nov. */
export function sayDate(date: string): string {
  return dateFormat("UTC", false).format(new Date(`${date}T12:00:00Z`));
}

const longDate = new Intl.DateTimeFormat("en-GB", {
  day: "numeric",
  month: "long",
  year: "numeric",
  timeZone: "UTC",
});

/** A local date with its year, where it may lie years back: 4 April 1992. */
export function sayLongDate(date: string): string {
  return longDate.format(new Date(`${date}T12:00:00Z`));
}

/** An instant in the clinic's zone: Tue 24 Nov, 09:30. */
export function sayTime(instant: string, zone: string): string {
  return dateFormat(zone, true).format(new Date(instant));
}

/** A number as a person writes it: at most one decimal, two below ten. */
export function sayNumber(value: number): string {
  const digits = Math.abs(value) < 10 ? 2 : Math.abs(value) < 100 ? 1 : 0;
  return numberFormats[digits].format(value);
}

/** Formatters by decimals; making one is slow, using it is not. */
const numberFormats = [0, 1, 2].map(
  (maximumFractionDigits) => new Intl.NumberFormat("en-GB", { maximumFractionDigits }),
) as [Intl.NumberFormat, Intl.NumberFormat, Intl.NumberFormat];

/** A value with its unit as it is written: 82 %, 38°, 2/10. Empty units leave the number alone. */
export function sayQuantity(value: number, unit: string): string {
  const sign = label("unit", unit);
  return sign === "" ? sayNumber(value) : `${sayNumber(value)}${/^[°/]/.test(sign) ? "" : " "}${sign}`;
}
