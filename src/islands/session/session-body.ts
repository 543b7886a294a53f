import type { SessionBody } from "~/contract/daily";
import type { SetRecord } from "~/core/response/session-record";
import { expandedSets, itemState, type SessionDraft, type SetDraft } from "./session-draft";
import { typedNumber } from "~/islands/frame/typed-number";

/** The draft as the endpoint wants it, only what has been done; null while a pain or an effort is missing in that. */
export function toBody(draft: SessionDraft): SessionBody | null {
  const { id, painBefore, minutes, otherLoad, footwear = "", stillSore, supersedes } = draft;
  const items: SessionBody["items"] = [];
  const unplanned: NonNullable<SessionBody["unplanned"]> = [];
  for (const item of draft.items) {
    if (itemState(item) === "open") continue;
    const sets = expandedSets(item).flatMap((set) => toSet(set) ?? []);
    if (sets.length < expandedSets(item).length) return null;
    const { itemId, unplanned: other } = item;
    if (other) unplanned.push({ itemId, exerciseId: other.exercise.id, variantId: other.variantId, sets });
    else items.push({ itemId, sets });
  }
  if (painBefore === null) return null;
  return {
    id,
    occurredAt: new Date(draft.occurredAt).toISOString(),
    painBefore,
    ...(minutes === "" ? {} : { minutes: Number(minutes) }),
    ...(otherLoad === "" ? {} : { otherLoad }),
    ...(footwear === "" ? {} : { footwear }),
    ...(stillSore ? { stillSore } : {}),
    items,
    ...(unplanned.length > 0 ? { unplanned } : {}),
    ...(supersedes === "" ? {} : { supersedes }),
  };
}

const typedNumbers = ["reps", "holdSeconds", "contacts", "minutes", "forceN", "loadKg"] as const;

/** What the pain at the site came with, as it is recorded. */
function painOf({
  painSite,
  painDuring,
  painWith,
  painFromDeg,
  painToDeg,
}: SetDraft): Pick<SetRecord, "painWith" | "painArc"> {
  if (painSite !== "episode" || painWith === "" || !painDuring) return {};
  if (painWith !== "depth" || painFromDeg.trim() === "") return { painWith };
  const end = painToDeg.trim() === "" ? {} : { toDeg: Number(painToDeg) };
  return { painWith, painArc: { fromDeg: Number(painFromDeg), ...end } };
}

/** A set as it is recorded; null while nobody has said its pain or its effort. */
function toSet(set: SetDraft): SetRecord | null {
  const { painDuring, effort, limit, pinchGrade, confidence, settings } = set;
  if (painDuring === null || effort === null) return null;
  const numbers = typedNumbers.flatMap((key) => {
    const value = typedNumber(set[key]);
    return value === null ? [] : [[key, value] as const];
  });
  const graded = limit === "pinch" && pinchGrade !== "" ? { pinchGrade: Number(pinchGrade) } : {};
  return {
    side: set.side,
    ...Object.fromEntries(numbers),
    painDuring,
    painSite: set.painSite,
    ...painOf(set),
    effort,
    ...(limit === "" ? {} : { limit: { kind: limit, ...graded } }),
    ...(confidence === null ? {} : { confidence }),
    ...(Object.keys(settings).length > 0 ? { settings } : {}),
    faults: set.faults,
  };
}
