import { matchOf } from "~/core/session/match-of";
import { v7 as uuid } from "uuid";
import { workingSide } from "~/core/case/working-side";
import { sidesOf } from "~/core/exercise/sides-of";
import type { Exercise } from "~/core/exercise/exercise";
import type { KnobValue } from "~/core/exercise/prescription";
import { firstPrescription, variantOf } from "~/core/exercise/exercise";
import type { StairItem, StairView } from "~/contract/episode";
import type { CaseSession } from "~/core/case/case-file";
import type { FaultRecord, footwears, SetRecord, Side } from "~/core/response/session-record";

/** What the session view needs of an item; an exercise outside the plan has as much. */
export type SessionItem = Pick<
  StairItem,
  "itemId" | "exercise" | "name" | "prescription" | "variantName" | "maximumN"
>;

/** One set as it stands in the form; numbers are text until they are sent. */
export interface SetDraft {
  side: Side;
  reps: string;
  holdSeconds: string;
  contacts: string;
  minutes: string;
  forceN: string;
  loadKg: string;
  painDuring: number | null;
  painSite: SetRecord["painSite"];
  painWith: "" | NonNullable<SetRecord["painWith"]>;
  painFromDeg: string;
  painToDeg: string;
  effort: number | null;
  limit: "" | NonNullable<SetRecord["limit"]>["kind"];
  pinchGrade: string;
  confidence: number | null;
  faults: FaultRecord[];
  /** Knobs that stood elsewhere than prescribed. */
  settings: Record<string, KnobValue>;
}

export interface ItemDraft {
  itemId: string;
  /** False: every set has been the same, and `sets[0]` speaks for all of them. */
  differs: boolean;
  /** Only one leg works: nothing is written down for the other. */
  oneSide?: boolean;
  count: number;
  sets: SetDraft[];
  /** An exercise that is in no plan, with its whole definition. */
  unplanned: { exercise: Exercise; variantId: string } | null;
}

export interface SessionDraft {
  id: string;
  occurredAt: string;
  painBefore: number | null;
  minutes: string;
  otherLoad: "" | "none" | "some" | "much";
  footwear?: "" | (typeof footwears)[number];
  stillSore: boolean;
  /** The session that this one corrects; empty for a new one. */
  supersedes: string;
  items: ItemDraft[];
}

/** The fields of a set that this item's dose counts. */
export function countedFields({ prescription: { dose } }: SessionItem) {
  return {
    reps: !!dose.reps,
    holdSeconds: !!dose.hold,
    contacts: !!dose.contacts,
    minutes: dose.minutes !== undefined,
    forceN: !!dose.effort,
    loadKg: dose.loadKg !== undefined,
  };
}

/** A draft with everything the plan already says filled in; pain and effort are never guessed. */
export function newDraft(stair: StairView): SessionDraft {
  return {
    id: uuid(),
    occurredAt: stair.asOf,
    painBefore: null,
    minutes: "",
    otherLoad: "",
    footwear: "",
    stillSore: false,
    supersedes: "",
    items: stair.items.map((item) => newItem(item, stair.involvedSide)),
  };
}

function newItem(item: SessionItem, involved: Side): ItemDraft {
  return {
    itemId: item.itemId,
    differs: false,
    count: item.prescription.dose.sets,
    sets: [plannedSet(item, involvedSide(item, involved))],
    unplanned: null,
    ...(sidesOf(item.exercise, item.prescription) === "one-side" ? { oneSide: true } : {}),
  };
}

/** An exercise of the catalogue done outside the plan. */
export function unplannedItem(exercise: Exercise, variantId: string, involved: Side): ItemDraft {
  const item = itemOfUnplanned(uuid(), exercise, variantId);
  return { ...newItem(item, involved), unplanned: { exercise, variantId } };
}

function itemOfUnplanned(itemId: string, exercise: Exercise, variantId: string): SessionItem {
  const variant = variantOf(exercise, variantId);
  return {
    itemId,
    exercise,
    name: exercise.name,
    prescription: firstPrescription(variant),
    variantName: variant.name,
    maximumN: null,
  };
}

/** The item behind a draft's entry; null for one that has left the plan meanwhile. */
export function itemOf(draft: ItemDraft, stair: StairView): SessionItem | null {
  const { itemId, unplanned } = draft;
  if (unplanned) return itemOfUnplanned(itemId, unplanned.exercise, unplanned.variantId);
  return stair.items.find((item) => item.itemId === itemId) ?? null;
}

/** A kept draft brought to the plan as it is now: what left the plan goes, what came in is added, what was typed stays. */
export function resumedDraft(kept: SessionDraft, stair: StairView): SessionDraft {
  const fresh = newDraft(stair);
  const known = new Set(stair.items.map((item) => item.itemId));
  const planned = fresh.items.map((item) => kept.items.find((old) => old.itemId === item.itemId) ?? item);
  const others = kept.items.filter((item) => item.unplanned !== null && !known.has(item.itemId));
  return { ...fresh, ...kept, items: [...planned, ...others] };
}

/** A draft that corrects a recorded session: everything as it was written then. */
export function correctingDraft(session: CaseSession, stair: StairView): SessionDraft {
  const fresh = newDraft(stair);
  return {
    ...fresh,
    occurredAt: session.at,
    painBefore: session.painBefore,
    minutes: session.minutes === undefined ? "" : String(session.minutes),
    otherLoad: session.otherLoad ?? "",
    footwear: session.footwear ?? "",
    stillSore: session.stillSore ?? false,
    supersedes: session.id,
    items: fresh.items.map((item) => {
      const done = session.items.find((entry) => entry.itemId === item.itemId);
      return done ? withRecords(item, done.sets) : item;
    }),
  };
}

/** An entry that says exactly these sets. */
export function withRecords(item: ItemDraft, sets: readonly SetRecord[]): ItemDraft {
  return { ...item, differs: true, count: sets.length, sets: sets.map(draftOf) };
}

function draftOf(set: SetRecord): SetDraft {
  const text = (value: number | undefined) => (value === undefined ? "" : String(value));
  return {
    side: set.side,
    reps: text(set.reps),
    holdSeconds: text(set.holdSeconds),
    contacts: text(set.contacts),
    minutes: text(set.minutes),
    forceN: text(set.forceN),
    loadKg: text(set.loadKg),
    painDuring: set.painDuring,
    painSite: set.painSite,
    painWith: set.painWith ?? "",
    painFromDeg: text(set.painArc?.fromDeg),
    painToDeg: text(set.painArc?.toDeg),
    effort: set.effort,
    limit: set.limit?.kind ?? "",
    pinchGrade: text(set.limit?.pinchGrade),
    confidence: set.confidence ?? null,
    faults: [...set.faults],
    settings: set.settings ?? {},
  };
}

/** The side that decides: both where the legs share the work, else the injured one (left where both are), or the one that works alone. */
export function involvedSide(item: SessionItem, involved: Side): Side {
  if (sidesOf(item.exercise, item.prescription) === "both-together") return "both";
  const side = workingSide(item.prescription, involved);
  return side === "both" ? "left" : side;
}

export function plannedSet({ prescription: { dose } }: SessionItem, side: Side): SetDraft {
  const text = (value: number | undefined) => (value === undefined ? "" : String(value));
  return {
    side,
    reps: text(dose.reps?.top),
    holdSeconds: text(dose.hold?.top),
    contacts: text(dose.contacts?.top),
    minutes: text(dose.minutes),
    forceN: "",
    loadKg: text(dose.loadKg),
    painDuring: null,
    painSite: "episode",
    painWith: "",
    painFromDeg: "",
    painToDeg: "",
    effort: null,
    limit: "",
    pinchGrade: "",
    confidence: null,
    faults: [],
    settings: {},
  };
}

/** Untouched, begun, or complete: pain and effort are what has to be asked. */
export function itemState({ sets }: ItemDraft): "open" | "part" | "done" {
  const asked = sets.flatMap((set) => [set.painDuring, set.effort]);
  const known = asked.filter((value) => value !== null).length;
  if (known === 0) return "open";
  return known === asked.length ? "done" : "part";
}

/** All sets of an item, one by one: the alike ones repeated, each side in turn. */
export function expandedSets(item: ItemDraft): SetDraft[] {
  const first = item.sets[0];
  if (item.differs || !first) return item.sets;
  return Array.from({ length: item.count }, () => (item.oneSide ? [first] : withOtherSide(first))).flat();
}

/** A set and, where each side works by itself, the other side's match of it; a pain not said yet is not said there either. */
function withOtherSide(set: SetDraft): SetDraft[] {
  if (set.side === "both") return [set];
  const painDuring = set.painDuring === null ? null : 0;
  const painless = { painSite: "episode", painWith: "", painFromDeg: "", painToDeg: "" } as const;
  const unfelt = { ...painless, limit: "", pinchGrade: "", confidence: null, faults: [] } as const;
  return [set, matchOf(set, { ...unfelt, faults: [], painDuring })];
}
