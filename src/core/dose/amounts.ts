import type { Dose } from "./dose";

/** What of a dose or of recorded work is weighed against what was done before; a key left out was not counted. */
export interface Amounts {
  readonly loadKg?: number;
  readonly sets?: number;
  /** Minutes of one set. */
  readonly minutes?: number;
  /** Ground contacts of one session and leg. */
  readonly contacts?: number;
}
export type AmountKey = keyof Amounts;
export const amountKeys = ["loadKg", "sets", "minutes", "contacts"] as const satisfies readonly AmountKey[];

/**
 * The amounts that a dose asks for at its top.
 *
 * @example amountsOfDose({ sets: 3, contacts: { bottom: 6, top: 8 }, loadKg: 10 }) // { loadKg: 10, sets: 3, contacts: 24 }
 */
export function amountsOfDose({
  sets,
  loadKg,
  minutes,
  contacts,
}: Pick<Dose, "sets" | "loadKg" | "minutes" | "contacts">): Amounts {
  return {
    ...(loadKg === undefined ? {} : { loadKg }),
    sets,
    ...(minutes === undefined ? {} : { minutes }),
    ...(contacts === undefined ? {} : { contacts: sets * contacts.top }),
  };
}

interface RecordedSet {
  readonly side: "left" | "right" | "both";
  readonly loadKg?: number | undefined;
  readonly minutes?: number | undefined;
  readonly contacts?: number | undefined;
}

/**
 * The amounts of sets as they were recorded: the heaviest load, the longest set, sets and contacts of the busier leg.
 *
 * @example amountsOfSets([{ side: "left", loadKg: 10 }, { side: "right", loadKg: 12 }]) // { loadKg: 12, sets: 1 }
 */
export function amountsOfSets(sets: readonly RecordedSet[]): Amounts {
  const legs = (["left", "right"] as const).map((leg) =>
    sets.filter(({ side }) => side === leg || side === "both"),
  );
  const most = (pick: (set: RecordedSet) => number | undefined) => {
    const found = sets.flatMap((set) => pick(set) ?? []);
    return found.length > 0 ? Math.max(...found) : undefined;
  };
  const contacts = sets.some((set) => set.contacts !== undefined)
    ? Math.max(...legs.map((leg) => leg.reduce((sum, set) => sum + (set.contacts ?? 0), 0)))
    : undefined;
  const [loadKg, minutes] = [most((set) => set.loadKg), most((set) => set.minutes)];
  return {
    ...(loadKg === undefined ? {} : { loadKg }),
    sets: Math.max(...legs.map((leg) => leg.length)),
    ...(minutes === undefined ? {} : { minutes }),
    ...(contacts === undefined ? {} : { contacts }),
  };
}

/** Amount by amount the greater of several; what none of them has is left out. */
export function mostOf(all: readonly Amounts[]): Amounts {
  return Object.fromEntries(
    amountKeys.flatMap((key) => {
      const found = all.flatMap((amounts) => amounts[key] ?? []);
      return found.length > 0 ? [[key, Math.max(...found)]] : [];
    }),
  );
}
