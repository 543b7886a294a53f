import { v7 as uuid } from "uuid";
import { sidesOf } from "~/core/progression/sides-of";
import type { SessionBody, StairItem, StairView } from "~/core/interchange/contract";
import type { SetRecord, Side } from "~/core/response/session-record";

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
  effort: number | null;
  limit: "" | NonNullable<SetRecord["limit"]>["kind"];
  pinchGrade: string;
  fault: string;
  faultReps: "some" | "most";
}

export interface ItemDraft {
  itemId: string;
  done: boolean;
  /** False: every set has been the same, and `sets[0]` speaks for all of them. */
  differs: boolean;
  count: number;
  sets: SetDraft[];
}

export interface SessionDraft {
  id: string;
  /** True when this draft was found on the device after the page had been left. */
  restored: boolean;
  occurredAt: string;
  painBefore: number | null;
  otherLoad: "" | "none" | "some" | "much";
  items: ItemDraft[];
}

/** The fields of a set that this item's dose counts. */
export function countedFields({ prescription: { dose } }: StairItem) {
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
    restored: false,
    occurredAt: stair.asOf,
    painBefore: null,
    otherLoad: "",
    items: stair.items.map((item) => ({
      itemId: item.itemId,
      done: true,
      differs: false,
      count: item.prescription.dose.sets,
      sets: [plannedSet(item, involvedSide(item, stair))],
    })),
  };
}

/** The side that decides: both where the legs share the work, else the injured one (left where both are). */
export function involvedSide(item: StairItem, stair: StairView): Side {
  if (sidesOf(item.exercise, item.prescription) === "both-together") return "both";
  return stair.involvedSide === "both" ? "left" : stair.involvedSide;
}

export function plannedSet({ prescription: { dose } }: StairItem, side: Side): SetDraft {
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
    effort: null,
    limit: "",
    pinchGrade: "",
    fault: "",
    faultReps: "some",
  };
}

/** All sets of an item, one by one: the alike ones repeated, each side in turn. */
export function expandedSets(item: ItemDraft): SetDraft[] {
  const first = item.sets[0];
  if (item.differs || !first) return item.sets;
  return Array.from({ length: item.count }, () => withOtherSide(first)).flat();
}

/** The injured side's set and the other side's match of it, which had no pain and no fault of its own. */
function withOtherSide(set: SetDraft): SetDraft[] {
  if (set.side === "both") return [set];
  const other: SetDraft = {
    ...set,
    side: set.side === "left" ? "right" : "left",
    painDuring: 0,
    limit: "",
    pinchGrade: "",
    fault: "",
  };
  return [set, other];
}

/** The draft as the endpoint wants it; only items marked as done. */
export function toBody(draft: SessionDraft): object {
  const body: Omit<SessionBody, "painBefore" | "items"> & { painBefore: number | null; items: object[] } = {
    id: draft.id,
    occurredAt: new Date(draft.occurredAt).toISOString(),
    painBefore: draft.painBefore,
    ...(draft.otherLoad === "" ? {} : { otherLoad: draft.otherLoad }),
    items: draft.items
      .filter((item) => item.done)
      .map((item) => ({ itemId: item.itemId, sets: expandedSets(item).map(toSet) })),
  };
  return body;
}

function toSet(set: SetDraft): object {
  const number = (key: "reps" | "holdSeconds" | "contacts" | "minutes" | "forceN" | "loadKg") =>
    set[key].trim() === "" ? {} : { [key]: Number(set[key].replace(",", ".")) };
  return {
    side: set.side,
    ...number("reps"),
    ...number("holdSeconds"),
    ...number("contacts"),
    ...number("minutes"),
    ...number("forceN"),
    ...number("loadKg"),
    painDuring: set.painDuring,
    painSite: set.painSite,
    effort: set.effort,
    ...(set.limit === ""
      ? {}
      : {
          limit: {
            kind: set.limit,
            ...(set.limit === "pinch" && set.pinchGrade !== "" ? { pinchGrade: Number(set.pinchGrade) } : {}),
          },
        }),
    faults: set.fault === "" ? [] : [{ fault: set.fault, severity: "marked", reps: set.faultReps }],
  };
}
