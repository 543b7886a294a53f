import type { RowDataPacket } from "mysql2";
import type { Queryable } from "~/server/db/connection";

const longest = 80;
const mostWords = 5;
const atOnce = 500;

/**
 * Words of a text as people are found by them: letters and digits, without accents and case.
 *
 * @example wordsOf("Zoë Okafor-Lind") // ["zoe", "okafor", "lind"]
 */
export const wordsOf = (text: string): string[] =>
  text
    .normalize("NFD")
    .replace(/\p{M}/gu, "")
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean)
    .map((word) => word.slice(0, longest));

interface Named {
  readonly id: string;
  readonly givenName: string;
  readonly familyName: string;
  readonly bornOn: string;
}

/** Keeps what a person is found by, in place of what was kept before. */
export async function keepWords(db: Queryable, clinicId: string, person: Named): Promise<void> {
  await db.execute("DELETE FROM person_words WHERE clinic_id = ? AND person_id = ?", [clinicId, person.id]);
  await db.query("INSERT INTO person_words (clinic_id, word, person_id) VALUES ?", [
    rowsOf(clinicId, person),
  ]);
}

/** Each word from each of its letters on, so that a part of it is the beginning of something. */
const rowsOf = (clinicId: string, { id, givenName, familyName, bornOn }: Named): string[][] => {
  const parts = wordsOf(`${givenName} ${familyName}`).flatMap((word) =>
    [...word].map((_, from) => word.slice(from)),
  );
  return [...new Set([...parts, bornOn.slice(0, 4)])].map((part) => [clinicId, part, id]);
};

/** Keeps what people are found by who were there before that was kept. @returns how many */
export async function keepMissingWords(db: Queryable): Promise<number> {
  let kept = 0;
  for (;;) {
    const [people] = await db.query<RowDataPacket[]>(
      `SELECT p.clinic_id, p.id, p.given_name, p.family_name, CAST(p.born_on AS CHAR) AS born_on
         FROM people p LEFT JOIN person_words w ON w.clinic_id = p.clinic_id AND w.person_id = p.id
        WHERE w.word IS NULL LIMIT ?`,
      [atOnce],
    );
    if (people.length === 0) return kept;
    const rows = people.flatMap((row) =>
      rowsOf(String(row["clinic_id"]), {
        id: String(row["id"]),
        givenName: String(row["given_name"]),
        familyName: String(row["family_name"]),
        bornOn: String(row["born_on"]),
      }),
    );
    await db.query("INSERT INTO person_words (clinic_id, word, person_id) VALUES ?", [rows]);
    kept += people.length;
  }
}

/** What a name is written with, and a year. */
const ofNames = /^[\p{L}\p{M}\p{N}'’.-]+$/u;

/**
 * What finds people of whom every word is a part of a name, or is the year of birth: joins, and their values, the clinic's id before
 * each; null where nobody can be meant.
 *
 * @param most of those whom a single word fits, so many are looked at: a letter fits half of a clinic of thousands
 */
export function joinsOfWords(
  text: string,
  clinicId: string,
  most?: number,
): { joins: string; values: string[] } | null {
  const words = askedFor(text);
  if (!words) return null;
  const few = most !== undefined && words.length === 1 ? `LIMIT ${most}` : "";
  const fitting = `SELECT person_id FROM person_words FORCE INDEX (PRIMARY) WHERE clinic_id = ? AND word LIKE ? ${few}`;
  return {
    joins: words
      .map(
        (_, n) => `JOIN (SELECT DISTINCT person_id FROM (${fitting}) f${n}) w${n} ON w${n}.person_id = p.id`,
      )
      .join("\n"),
    // Letters and digits alone: nothing of a word is a pattern.
    values: words.flatMap((word) => [clinicId, `${word}%`]),
  };
}

/** How many words of each are counted, and no further, to tell whether there are many. */
const many = 500;

/**
 * The same for a walk along episodes that stand in an order already, where every word fits many: to read all those first, and put
 * them into order, would take the longer the larger a clinic is; the few that are shown are soon met.
 *
 * @param episodes what the walk calls its table of episodes
 * @param from from how many on
 * @returns conditions, and their values; null where a word fits few, or nobody can be meant
 */
export async function walkByWords(
  db: Queryable,
  text: string,
  clinicId: string,
  episodes: string,
  from = many,
): Promise<{ conditions: string[]; values: string[] } | null> {
  const words = askedFor(text);
  if (!words) return null;
  const patterns = words.map((word) => `${word}%`);
  const counted =
    "SELECT COUNT(*) FROM (SELECT 1 FROM person_words FORCE INDEX (PRIMARY) WHERE clinic_id = ? AND word LIKE ? LIMIT ?) f";
  const [[row]] = await db.query<RowDataPacket[]>(
    `SELECT LEAST(${words.map(() => `(${counted})`).join(", ")}, ?) AS fewest`,
    [...patterns.flatMap((pattern) => [clinicId, pattern, from]), from],
  );
  if (Number(row?.["fewest"]) < from) return null;
  return {
    // Asked of each row by itself: a join would be put before the walk.
    conditions: words.map(
      () => `(SELECT 1 FROM person_words FORCE INDEX (person_words_person)
               WHERE clinic_id = ${episodes}.clinic_id AND person_id = ${episodes}.person_id AND word LIKE ? LIMIT 1) = 1`,
    ),
    values: patterns,
  };
}

/** The words of what was typed; null where nobody can be meant. */
function askedFor(text: string): string[] | null {
  const words = wordsOf(text).slice(0, mostWords);
  const typed = text.trim().split(/\s+/);
  return words.length > 0 && typed.every((word) => ofNames.test(word)) ? words : null;
}
