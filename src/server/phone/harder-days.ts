import type { DayChange } from "~/contract/phone";
import type { HarderItem } from "~/contract/phones";
import { limitsOfItem } from "~/core/case/in-force";
import { stageOf } from "~/core/pathway/pathway";
import { harderAlone, type HarderAlone } from "~/core/review/harder-alone";
import { localDay } from "~/core/schedule/local-day";
import type { LoadedCase } from "~/server/case/make-case";
import { pool } from "~/server/db/connection";
import { namesInPlan } from "~/server/episode/names-in-plan";
import { harderDays } from "~/server/facts/harder-days";
import { readFacts, type FactRead } from "~/server/facts/sql";

type Word = FactRead<typeof harderDays.columns>;

/** The latest word on each exercise: whether it may be done harder on a good day. */
export async function wordsOnHarder(clinicId: string, episodeId: string): Promise<Map<string, Word>> {
  const all = (await readFacts(pool(), harderDays, clinicId, [episodeId])).get(episodeId) ?? [];
  return new Map(all.map((word) => [word.itemId, word]));
}

/** What is turned for a good day of each exercise that somebody allowed it for, as the record stands now. */
export function harderToday(loaded: LoadedCase, words: ReadonlyMap<string, Word>): Map<string, DayChange> {
  const allowed = loaded.review().items.filter(({ itemId }) => words.get(itemId)?.allowed === true);
  return new Map(
    allowed.flatMap(({ itemId }) => {
      const can = canTurn(loaded, itemId);
      if (can?.found !== "change") return [];
      const { knob, to, prescription } = can.change;
      return [[itemId, { knob, to, prescription }]];
    }),
  );
}

/** Every exercise of the plan, as the clinic allows it or might. */
export function harderItems(loaded: LoadedCase, words: ReadonlyMap<string, Word>): HarderItem[] {
  const { items } = loaded.review();
  const names = namesInPlan(loaded.file, items);
  return items.flatMap(({ itemId, exerciseId }) => {
    const can = canTurn(loaded, itemId);
    if (!can) return [];
    const word = words.get(itemId);
    return [
      {
        itemId,
        name: names.get(itemId) ?? exerciseId,
        word: word ? { allowed: word.allowed, reason: word.reason, by: word.by, at: word.at } : null,
        change: can.found === "change" ? { knob: can.change.knob, to: can.change.to } : null,
        bar: can.found === "bar" ? can.bar : null,
      },
    ];
  });
}

function canTurn(loaded: LoadedCase, itemId: string): HarderAlone | null {
  const { file } = loaded;
  const { items, stage } = loaded.review();
  const item = items.find((candidate) => candidate.itemId === itemId);
  const exercise = file.exercises.find(({ id }) => id === item?.exerciseId);
  if (!item || !exercise) return null;
  const planned = file.items.find(({ id }) => id === itemId) ?? {};
  const restrictions = limitsOfItem(file, stageOf(file.pathway, stage), planned);
  const today = localDay(file.asOf, file.zone);
  return harderAlone(item, items, exercise, { restrictions, today, book: loaded.book() });
}
