import { openDB, type DBSchema, type IDBPDatabase } from "idb";
import type { PhoneMorningBody, PhoneSessionBody, PhoneSignalBody, PhoneView } from "~/contract/phone";
import type { BodyPlace } from "~/core/exercise/body-place";
import type { RunState } from "./run-state";

/** Something that was told on this phone and is to be sent, in order and once. */
export type Waiting =
  | { readonly name: "tellSession"; readonly body: Omit<PhoneSessionBody, "sentAt"> }
  | { readonly name: "tellMorning"; readonly body: Omit<PhoneMorningBody, "sentAt"> }
  | { readonly name: "tellSignal"; readonly body: Omit<PhoneSignalBody, "sentAt"> };

/** Something that the clinic's side did not take, and why. */
export interface NotTaken {
  readonly what: Waiting;
  readonly why: string;
}

/** What a phone keeps, by name. */
interface Kept {
  readonly view: PhoneView;
  /** Milliseconds by which the clinic's clock is ahead of the phone's. */
  readonly ahead: number;
  readonly run: RunState;
  readonly notTaken: readonly NotTaken[];
  /** Only what is done there, where somebody asked for that. */
  readonly place: BodyPlace | null;
  /** What the phone says to remind of the morning, and the day it did so last. */
  readonly reminder: { readonly title: string; readonly body: string };
  readonly remindedOf: string;
  /** When the settings of the plan were last looked at here. */
  readonly seenAt: string;
}

interface Shape extends DBSchema {
  kept: { key: string; value: unknown };
  waiting: { key: number; value: Waiting };
}

let opened: Promise<IDBPDatabase<Shape>> | undefined;
const database = () =>
  (opened ??= openDB<Shape>("stair-phone", 1, {
    upgrade: (db) => {
      db.createObjectStore("kept");
      db.createObjectStore("waiting", { autoIncrement: true });
    },
  }));

export async function readKept<K extends keyof Kept>(name: K): Promise<Kept[K] | undefined> {
  return (await (await database()).get("kept", name)) as Kept[K] | undefined;
}

export async function keep<K extends keyof Kept>(name: K, value: Kept[K]): Promise<void> {
  await (await database()).put("kept", value, name);
}

export async function drop(name: keyof Kept): Promise<void> {
  await (await database()).delete("kept", name);
}

/** What the phone had no room to keep: it waits in the page, and goes with it. Under keys that the database never gives. */
const inPage = new Map<number, Waiting>();
let nextInPage = -1;

/** Everything that waits to be sent, oldest first, with the keys it is kept under; last what only this page holds. */
export async function readWaiting(): Promise<{ key: number; what: Waiting }[]> {
  const db = await database();
  const [keys, values] = await Promise.all([db.getAllKeys("waiting"), db.getAll("waiting")]);
  const kept = keys.flatMap((key, n) => {
    const what = values[n];
    return what ? [{ key, what }] : [];
  });
  return [...kept, ...[...inPage].map(([key, what]) => ({ key, what }))];
}

/**
 * Keeps something to be sent; with the run it came from gone in the same step, so that it is never told twice. Where the phone has
 * no room, it waits in this page: it is sent like the rest, and lost only when the page is closed before.
 *
 * @returns whether the phone keeps it
 */
export async function keepWaiting(what: Waiting, endsRun = false): Promise<boolean> {
  try {
    const work = (await database()).transaction(["waiting", "kept"], "readwrite");
    // A write that fails ends the whole step, which is waited for as well.
    await Promise.all([
      work.objectStore("waiting").add(what),
      endsRun ? work.objectStore("kept").delete("run") : null,
      work.done,
    ]);
    return true;
  } catch {
    inPage.set(nextInPage, what);
    nextInPage -= 1;
    return false;
  }
}

export async function dropWaiting(key: number): Promise<void> {
  if (!inPage.delete(key)) await (await database()).delete("waiting", key);
}

/** Nothing of anybody stays on the phone. */
export async function emptyPhone(): Promise<void> {
  inPage.clear();
  const work = (await database()).transaction(["waiting", "kept"], "readwrite");
  await Promise.all([work.objectStore("waiting").clear(), work.objectStore("kept").clear()]);
  await work.done;
}
