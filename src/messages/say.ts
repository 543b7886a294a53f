import type { MessageKey } from "./en";
import { poundsFromKg } from "~/core/load/pounds";
import { inchesFromCm } from "~/core/measure/inch";
import { ways } from "./ways";
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
    // oxlint-disable-next-line no-console -- a word that is missing in the browser is a fault of the build, and tests listen
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

/** Which language writes a date in the order that is read: 24 Nov, or Nov 24. */
const localeOf = () => (ways().dates === "month-day" ? "en-US" : "en-GB");
const shortDay = { weekday: "short", day: "numeric", month: "short" } as const;
const clock = { hour: "2-digit", minute: "2-digit", hourCycle: "h23" } as const;
const longDay = { day: "numeric", month: "long", year: "numeric" } as const;

/** Formatters by zone, order and what they say; making one is slow, using it is not. */
function dateFormat(timeZone: string, what: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  const locale = localeOf();
  const key = `${locale} ${timeZone} ${Object.keys(what).join()}`;
  let format = dateFormats.get(key);
  if (!format) {
    format = new Intl.DateTimeFormat(locale, { ...what, timeZone });
    dateFormats.set(key, format);
  }
  return format;
}

/** A local calendar date in words: Tue 24 Nov, or Tue, Nov 24. */
export function sayDate(date: string): string {
  return dateFormat("UTC", shortDay).format(new Date(`${date}T12:00:00Z`));
}

/** A local date with its year, where it may lie years back: 4 April 1992, or April 4, 1992. */
export function sayLongDate(date: string): string {
  return dateFormat("UTC", longDay).format(new Date(`${date}T12:00:00Z`));
}

/** An instant in the clinic's zone: Tue 24 Nov, 09:30. */
export function sayTime(instant: string, zone: string): string {
  return dateFormat(zone, { ...shortDay, ...clock }).format(new Date(instant));
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

/** Who says an amount: words by their keys, and numbers as they are written there. */
interface AmountSay {
  readonly t: (key: "unit.weight.kg" | "unit.weight.lb", values: Values) => string;
  readonly number: (value: number) => string;
}

/** A weight: 20 kg, or 44.1 lb (20 kg); what is prescribed stays in sight, for it is what is kept. */
export function sayWeight(kg: number, say: AmountSay = { t, number: sayNumber }): string {
  const said = say.t("unit.weight.kg", { kg: say.number(kg) });
  if (ways().weight === "kg") return said;
  return say.t("unit.weight.lb", { lb: say.number(poundsFromKg(kg)), kg: said });
}

/** A length: 61 cm, or 24 in (61 cm). */
export function sayLength(cm: number): string {
  const said = t("unit.length.cm", { cm: sayNumber(cm) });
  return ways().length === "cm"
    ? said
    : t("unit.length.in", { inches: sayNumber(inchesFromCm(cm)), cm: said });
}

/** A value with its unit as it is written: 82 %, 38°, 2/10. Empty units leave the number alone. */
export function sayQuantity(value: number, unit: string): string {
  if (unit === "kg") return sayWeight(value);
  if (unit === "cm") return sayLength(value);
  const sign = label("unit", unit);
  return sign === "" ? sayNumber(value) : `${sayNumber(value)}${/^[°/]/.test(sign) ? "" : " "}${sign}`;
}
