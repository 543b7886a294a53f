import type { SessionBody, Written } from "~/core/interchange/contract";
import type { FieldProblem } from "~/core/interchange/validate";
import { sidesOf } from "~/core/progression/sides-of";
import type { SetRecord } from "~/core/response/session-record";
import { localDay } from "~/core/schedule/local-day";
import type { StaffContext } from "~/server/auth/staff-context";
import { refused } from "~/server/http/problem";
import type { LoadedCase } from "./case-loader";
import { insertSession } from "./fact-writer";
import { writeFact } from "./write-episode";

const clockSkewMs = 2 * 60_000;

/** Records a session. Sending it twice with one id gives one row and the same answer. */
export async function recordSession(
  staff: StaffContext,
  episodeId: string,
  body: SessionBody,
): Promise<Written> {
  const fact = { table: "sessions", id: body.id, action: "record-session" } as const;
  return writeFact(staff, episodeId, fact, async ({ db, writing, loaded }) => {
    const problems = [...timeProblems(body, loaded, writing.at), ...itemProblems(body, loaded)];
    if (problems.length > 0) throw refused(problems);
    await insertSession(db, writing, body);
  });
}

function timeProblems(body: SessionBody, { file }: LoadedCase, at: string): FieldProblem[] {
  const path = "/occurredAt";
  if (Date.parse(body.occurredAt) > Date.parse(at) + clockSkewMs)
    return [{ path, problem: "lies in the future" }];
  if (localDay(body.occurredAt, file.zone) < file.episode.onsetOn) {
    return [{ path, problem: `lies before the injury (${file.episode.onsetOn})` }];
  }
  return [];
}

function itemProblems(body: SessionBody, { file }: LoadedCase): FieldProblem[] {
  const seen = new Set<string>();
  return body.items.flatMap(({ itemId, sets }, i) => {
    const path = `/items/${i}`;
    const item = file.items.find((candidate) => candidate.id === itemId);
    const exercise = file.exercises.find((candidate) => candidate.id === item?.exerciseId);
    const prescription = item?.prescriptions.at(-1)?.prescription;
    if (!item || !exercise || !prescription)
      return [{ path: `${path}/itemId`, problem: "is not in this patient's plan" }];
    if (item.endedAt !== undefined && item.endedAt <= body.occurredAt)
      return [{ path: `${path}/itemId`, problem: "had left the plan by then" }];
    if (seen.has(itemId)) return [{ path: `${path}/itemId`, problem: "stands twice in this session" }];
    seen.add(itemId);
    const sides = sidesOf(exercise, prescription);
    return sets.flatMap((set, s) => setProblems(set, prescription.dose, sides, `${path}/sets/${s}`));
  });
}

type Dose = LoadedCase["file"]["items"][number]["prescriptions"][number]["prescription"]["dose"];

function setProblems(
  set: SetRecord,
  dose: Dose,
  sides: "both-together" | "each-side",
  path: string,
): FieldProblem[] {
  const problems: FieldProblem[] = [];
  const need = (key: "reps" | "holdSeconds" | "contacts" | "minutes", asked: unknown, what: string) => {
    if (asked !== undefined && set[key] === undefined)
      problems.push({ path: `${path}/${key}`, problem: what });
  };
  need("reps", dose.reps, "is missing: this exercise counts repetitions");
  if (!dose.reps) need("holdSeconds", dose.hold, "is missing: this exercise is held for seconds");
  need("contacts", dose.contacts, "is missing: this exercise counts ground contacts");
  need("minutes", dose.minutes, "is missing: this exercise is done for minutes");
  if ((set.side === "both") !== (sides === "both-together")) {
    problems.push({
      path: `${path}/side`,
      problem: sides === "both-together" ? "must be both: the legs share this work" : "must be left or right",
    });
  }
  set.faults.forEach((fault, f) => {
    if (typeof fault.reps === "number" && set.reps !== undefined && fault.reps > set.reps) {
      problems.push({
        path: `${path}/faults/${f}/reps`,
        problem: `is more than the ${set.reps} reps of the set`,
      });
    }
  });
  return problems;
}
