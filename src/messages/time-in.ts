import type { Language } from "~/contract/languages";

/** How numbers and dates are written in a language. */
export const localeOf: Record<Language, string> = { en: "en-GB", de: "de-DE" };

/** An instant as it is written in a language, by a zone's clock. */
export const sayTimeIn = (language: Language, instant: string, timeZone: string): string =>
  new Intl.DateTimeFormat(localeOf[language], { dateStyle: "medium", timeStyle: "short", timeZone }).format(
    new Date(instant),
  );
