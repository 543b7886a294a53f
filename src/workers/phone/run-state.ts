import type { PhoneItem, PhoneSessionBody, PhoneSignalBody } from "~/contract/phone";
import type { Skipped } from "~/core/case/case-file";
import type { Prescription } from "~/core/exercise/prescription";
import type { SetRecord, Side } from "~/core/response/session-record";
import { guidedRun, type RunStep } from "~/core/run/guided-run";
import { stopsAll } from "./stops-all";

/** How an exercise was, as the patient tells it once it is over. */
export interface Felt {
  readonly pain: number;
  readonly site: SetRecord["painSite"];
  readonly with?: NonNullable<SetRecord["painWith"]>;
  readonly effort: number;
  /** Repetitions, landings, seconds or minutes of a set, where they were other than asked. */
  readonly amount?: number;
}

/** A run under way, as it is kept on the phone: a reload, a call or an empty battery loses nothing. */
export interface RunState {
  readonly id: string;
  readonly startedAt: string;
  /** When the hand was last at it: what was done was done by then, whenever the page is closed or opened again. */
  readonly touchedAt: string;
  readonly painBefore: number;
  /** The exercises of the run as they were when it began: a plan that changes meanwhile does not change it. */
  readonly items: readonly PhoneItem[];
  /** Which step is in hand. */
  readonly at: number;
  /** Sets that are over. */
  readonly done: readonly { readonly itemId: string; readonly side: Side }[];
  readonly felt: Readonly<Record<string, Felt>>;
  readonly eased: readonly string[];
  /** What is done a notch harder on this good day; absent in a run that an older version kept. */
  readonly pushed?: readonly string[];
  readonly skipped: readonly Skipped[];
}

/** A run that begins now. */
export const newRun = (begun: Pick<RunState, "id" | "startedAt" | "painBefore" | "items">): RunState => ({
  ...begun,
  touchedAt: begun.startedAt,
  at: 0,
  done: [],
  felt: {},
  eased: [],
  skipped: [],
});

/** What is done of an exercise in this run: as planned, or easier or harder for the day. */
export function runPrescription(
  { itemId, prescription, easier, harder }: PhoneItem,
  { eased, pushed = [] }: Pick<RunState, "eased" | "pushed">,
): Prescription {
  if (easier && eased.includes(itemId)) return easier.prescription;
  if (harder && pushed.includes(itemId)) return harder.prescription;
  return prescription;
}

/** How an exercise is done in a run. */
export type Turned = "easier" | "planned" | "harder";

export function turnedIn({ eased, pushed = [] }: Pick<RunState, "eased" | "pushed">, itemId: string): Turned {
  if (eased.includes(itemId)) return "easier";
  return pushed.includes(itemId) ? "harder" : "planned";
}

/**
 * The run with an exercise easier, harder or as planned from its step in hand on. Fewer sets are fewer steps: the one in hand is
 * looked for among the new ones.
 *
 * @returns null where the step in hand does not stand in it any more
 */
export function withTurned(run: RunState, itemId: string, to: Turned): RunState | null {
  const step = runSteps(run)[run.at];
  const without = (ids: readonly string[] = []) => ids.filter((id) => id !== itemId);
  const changed = {
    ...run,
    eased: to === "easier" ? [...without(run.eased), itemId] : without(run.eased),
    pushed: to === "harder" ? [...without(run.pushed), itemId] : without(run.pushed),
  };
  const mark = (one: RunStep | undefined) => JSON.stringify({ ...one, of: 0, seconds: 0 });
  const at = runSteps(changed).findIndex((other) => mark(other) === mark(step));
  return at < 0 ? null : { ...changed, at };
}

/** The steps of a run. An exercise that is skipped keeps its steps: they are passed over. */
export const runSteps = (run: Pick<RunState, "items" | "eased" | "pushed">): RunStep[] =>
  guidedRun(run.items.map((item) => ({ ...item, dose: runPrescription(item, run).dose })));

const leastSecondsASet = 5;
const leftAfterMs = 6 * 3_600_000;

/** Whether a run was left: nobody goes on with it after some hours, and what was done belongs to its own day. */
export const wasLeft = ({ touchedAt }: RunState, now: number): boolean =>
  now - Date.parse(touchedAt) > leftAfterMs;

export const secondsOf = (steps: readonly RunStep[]): number =>
  steps.reduce((sum, { seconds }) => sum + seconds, 0);

const isSkipped = ({ skipped }: RunState, itemId: string) => skipped.some((one) => one.itemId === itemId);

/** The exercise that is over, or left in its middle, and of which nothing has been told yet; null where none is. */
export function toBeTold(run: RunState, steps: readonly RunStep[]): PhoneItem | null {
  const comesAgain = (itemId: string) =>
    !isSkipped(run, itemId) &&
    steps.slice(run.at).some((step) => step.kind === "work" && step.itemId === itemId);
  const over = run.items.find(
    ({ itemId }) =>
      run.felt[itemId] === undefined && run.done.some((set) => set.itemId === itemId) && !comesAgain(itemId),
  );
  return over ?? null;
}

/** The next step that still stands: what is skipped is passed over, with the times that lead to it. */
function nextStep(run: RunState, steps: readonly RunStep[], from: number): number {
  const at = steps.findIndex((step, n) => n >= from && !isSkipped(run, step.itemId));
  return at < 0 ? steps.length : at;
}

/** The run with its step over: a set counts, a pause does not. */
export function stepOver(run: RunState, steps: readonly RunStep[]): RunState {
  const step = steps[run.at];
  const done = step?.kind === "work" ? [...run.done, { itemId: step.itemId, side: step.side }] : run.done;
  const moved = { ...run, done };
  return { ...moved, at: nextStep(moved, steps, run.at + 1) };
}

/** The run without any more of an exercise, and why; sets of it that were done are told of like any others. */
export function stepsSkipped(run: RunState, steps: readonly RunStep[], skipped: Skipped): RunState {
  const out = { ...run, skipped: [...run.skipped, skipped] };
  return { ...out, at: nextStep(out, steps, run.at) };
}

/** The run after a sign: without the exercise that it stops, where it stops no more than that; null where it is over. */
export function runAfterSign(
  run: RunState,
  { code, itemId }: Pick<PhoneSignalBody, "code" | "itemId">,
): RunState | null {
  if (stopsAll(code) || itemId === undefined) return null;
  return stepsSkipped(run, runSteps(run), { itemId, why: "pain" });
}

/** What goes to the clinic of a run; null where nothing was done. */
export function sessionOf(run: RunState): Omit<PhoneSessionBody, "sentAt"> | null {
  const endedAt = run.touchedAt;
  const items = run.items.flatMap((item) => {
    const sets = run.done.filter(({ itemId }) => itemId === item.itemId);
    const felt = run.felt[item.itemId];
    if (sets.length === 0 || !felt) return [];
    return [{ itemId: item.itemId, sets: sets.map(({ side }) => setRecord(item, side, felt, run)) }];
  });
  if (items.length === 0) return null;
  const minutes = Math.round((Date.parse(endedAt) - Date.parse(run.startedAt)) / 60_000);
  return {
    id: run.id,
    occurredAt: endedAt,
    painBefore: run.painBefore,
    ...(minutes >= 1 && minutes <= 600 && enoughFor(items, minutes) ? { minutes } : {}),
    items,
    ...(run.skipped.length > 0 ? { skipped: [...run.skipped] } : {}),
  };
}

/** A run that was tapped through in no time tells nothing of how long it took. */
const enoughFor = (items: PhoneSessionBody["items"], minutes: number) =>
  minutes * 60 >= items.flatMap(({ sets }) => sets).length * leastSecondsASet;

function setRecord(item: PhoneItem, side: Side, felt: Felt, run: RunState): SetRecord {
  const { dose, settings } = runPrescription(item, run);
  const changed = Object.entries(settings).filter(([knob, to]) => item.prescription.settings[knob] !== to);
  const { amount } = felt;
  return {
    side,
    ...(dose.reps ? { reps: amount ?? dose.reps.top } : {}),
    ...(dose.hold ? { holdSeconds: dose.reps ? dose.hold.top : (amount ?? dose.hold.top) } : {}),
    ...(dose.contacts ? { contacts: amount ?? dose.contacts.top } : {}),
    ...(dose.minutes ? { minutes: amount ?? dose.minutes } : {}),
    ...(dose.loadKg === undefined ? {} : { loadKg: dose.loadKg }),
    painDuring: felt.pain,
    painSite: felt.site,
    ...(felt.with ? { painWith: felt.with } : {}),
    effort: felt.effort,
    faults: [],
    ...(changed.length > 0 ? { settings: Object.fromEntries(changed) } : {}),
  };
}
