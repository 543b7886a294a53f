import MessageFormat from "@messageformat/core";
import { catalogueDe } from "~/catalogue/languages/de/all";
import type { CatalogueWords } from "~/catalogue/languages/language";
import { deHandout, type HandoutKey } from "./de-handout";
import type { Language } from "~/contract/languages";
import { t, type Values } from "./say";
import { localeOf, sayTimeIn } from "./time-in";

/** Who says the sheet: texts by their keys, what the catalogue says, numbers and dates as they are written there. */
export interface Speaker {
  readonly language: Language;
  readonly t: (key: HandoutKey, values?: Values) => string;
  /** A text of the catalogue; one that a clinic wrote itself stays as it is. */
  readonly text: (english: string) => string;
  readonly number: (value: number) => string;
  readonly date: (date: string) => string;
  readonly longDate: (date: string) => string;
  readonly time: (instant: string, zone: string) => string;
}

const tongues: Record<Language, { say: Speaker["t"]; words: CatalogueWords }> = {
  en: { say: t, words: {} },
  de: { say: said("de", deHandout), words: catalogueDe },
};

/**
 * Who says the sheet in a language.
 *
 * @example speaker("de").t("handout.sets", { sets: 3, work: "12-mal" }) // "3 Sätze: 12-mal"
 */
export function speaker(language: Language): Speaker {
  const { say, words } = tongues[language];
  const locale = localeOf[language];
  const day = (options: Intl.DateTimeFormatOptions) => {
    const format = new Intl.DateTimeFormat(locale, { timeZone: "UTC", ...options });
    return (date: string) => format.format(new Date(`${date}T12:00:00Z`));
  };
  return {
    language,
    t: say,
    text: (english) => words[english] ?? english,
    number: (value) => new Intl.NumberFormat(locale, { maximumFractionDigits: 2 }).format(value),
    date: day({ weekday: "short", day: "numeric", month: "short" }),
    longDate: day({ day: "numeric", month: "long", year: "numeric" }),
    time: (instant, zone) => sayTimeIn(language, instant, zone),
  };
}

function said(locale: string, texts: Readonly<Record<HandoutKey, string>>): Speaker["t"] {
  const format = new MessageFormat(locale);
  const made = new Map<HandoutKey, (values: Values) => string>();
  return (key, values = {}) => {
    const say = made.get(key) ?? (format.compile(texts[key]) as (values: Values) => string);
    made.set(key, say);
    return say(values);
  };
}
