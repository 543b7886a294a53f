import MessageFormat from "@messageformat/core";
import { en, locale, type MessageKey } from "./en";

/** A text, or what makes one of its values. */
export type Word = string | ((values: Record<string, unknown>) => string);

const format = new MessageFormat(locale);
const made = new Map<string, Word>();

/**
 * The words behind a key, all of them: on the server and in tests. The build puts a small registry in the place of this file
 * for the browser, which every view fills with the words it uses.
 */
export function wordOf(key: MessageKey): Word | undefined {
  const found = made.get(key) ?? (hasWord(key) ? format.compile(en[key]) : undefined);
  if (found !== undefined) made.set(key, found);
  return found;
}

/** Whether there are words for this key; a key may have been made from data. */
export const hasWord = (key: string): key is MessageKey => Object.hasOwn(en, key);
