import type { Exercise } from "~/core/exercise/exercise";
import {
  faultPhases,
  footwears,
  limitKinds,
  painPatterns,
  painSites,
  type FaultRecord,
} from "~/core/response/session-record";
import {
  either,
  flag,
  listOf,
  number,
  oneOfThese,
  optional,
  orNull,
  recordOf,
  shape,
  text,
  type Guard,
} from "~/islands/frame/kept-shape";
import type { ItemDraft, SessionDraft, SetDraft } from "./session-draft";

const fault = shape<FaultRecord>({
  fault: text,
  severity: oneOfThese("slight", "marked"),
  reps: either(oneOfThese("some", "most"), number),
  phase: optional(oneOfThese(...faultPhases)),
} as { [K in keyof FaultRecord]-?: Guard<FaultRecord[K]> });

const set = shape<SetDraft>({
  side: oneOfThese("left", "right", "both"),
  reps: text,
  holdSeconds: text,
  contacts: text,
  minutes: text,
  forceN: text,
  loadKg: text,
  painDuring: orNull(number),
  painSite: oneOfThese(...painSites),
  painWith: oneOfThese("", ...painPatterns),
  painFromDeg: text,
  painToDeg: text,
  effort: orNull(number),
  limit: oneOfThese("", ...limitKinds),
  pinchGrade: text,
  confidence: orNull(number),
  faults: listOf(fault),
  settings: recordOf(either(text, number)),
});

const anything: Guard<object> = (value): value is object => typeof value === "object" && value !== null;

const namedVariant = shape({
  id: text,
  name: text,
  settings: recordOf(either(text, number)),
  dose: anything,
});
const looksLikeExercise = shape({
  id: text,
  name: text,
  faults: listOf(shape({ code: text, name: text })),
  variants: listOf(namedVariant),
});

/** An exercise with its variant at hand; the server checks the whole of it when the session is recorded. */
const unplanned: Guard<NonNullable<ItemDraft["unplanned"]>> = (
  value,
): value is { exercise: Exercise; variantId: string } =>
  shape({ exercise: looksLikeExercise, variantId: text })(value) &&
  value.exercise.variants.some(({ id }) => id === value.variantId);

const item = shape<ItemDraft>({
  itemId: text,
  differs: flag,
  oneSide: optional(flag),
  count: number,
  sets: listOf(set),
  unplanned: orNull(unplanned),
});

/** True for an unfinished session of the shape that this version of the view fills in. */
export const isSessionDraft: Guard<SessionDraft> = shape<SessionDraft>({
  id: text,
  occurredAt: (value): value is string => text(value) && Number.isFinite(Date.parse(value)),
  painBefore: orNull(number),
  minutes: text,
  otherLoad: oneOfThese("", "none", "some", "much"),
  footwear: optional(oneOfThese("", ...footwears)),
  stillSore: flag,
  supersedes: text,
  items: listOf(item),
});
