import mysql from "mysql2/promise";
import { v7 as uuid } from "uuid";
import { startingExercises } from "~/catalogue/exercises/all";
import type { Dose } from "~/core/dose/dose";
import type { Prescription } from "~/core/exercise/prescription";
import { sidesOf } from "~/core/exercise/sides-of";
import type { SetRecord } from "~/core/response/session-record";
import { addDays } from "~/core/schedule/local-day";
import { connectionOptions } from "~/server/db/connection";
import { reports } from "~/server/facts/reports";
import { sessions } from "~/server/facts/sessions";
import { sets, setsOf } from "~/server/facts/sets";
import { appendFact, appendFacts } from "~/server/facts/sql";

/**
 * Puts a good session with every exercise of the plan on each of some days before a date, and a quiet morning after each,
 * straight into the database: so that no lane counts as left out, without a hundred requests.
 */
export async function trainedDaily(
  ownerUrl: string,
  episodeId: string,
  { before, days = 14 }: { before: string; days?: number },
): Promise<void> {
  const db = await mysql.createConnection(connectionOptions(ownerUrl));
  try {
    const [rows] = await db.query<mysql.RowDataPacket[]>(
      `SELECT i.clinic_id, i.id, i.exercise_id, e.started_at, p.body, p.signed_by
         FROM plan_items i
         JOIN episodes e ON e.clinic_id = i.clinic_id AND e.id = i.episode_id
         JOIN prescriptions p ON p.clinic_id = i.clinic_id AND p.item_id = i.id
        WHERE i.episode_id = ? ORDER BY p.at`,
      [episodeId],
    );
    const latest = new Map(rows.map((row) => [String(row["id"]), row]));
    const [first] = rows;
    if (!first) throw new Error("the plan is empty");
    const w = {
      clinicId: String(first["clinic_id"]),
      episodeId,
      staffId: String(first["signed_by"]),
      trail: [],
    };
    const items = [...latest].map(([itemId, row]) => {
      const body: unknown = row["body"];
      const prescription = (typeof body === "string" ? JSON.parse(body) : body) as Prescription;
      return { itemId, sets: doneSets(String(row["exercise_id"]), prescription) };
    });
    for (let n = days; n >= 1; n -= 1) {
      const trainingDate = addDays(before, -n);
      const at = `${trainingDate}T06:00:00.000Z`;
      if (at.replace("T", " ") < String(first["started_at"])) continue;
      const id = uuid();
      const writing = { ...w, at };
      await appendFact(db, writing, sessions, { id, at, receivedAt: at, painBefore: 0 });
      await appendFacts(db, writing, sets, setsOf({ id, items }));
      const morning = `${addDays(trainingDate, 1)}T05:00:00.000Z`;
      await appendFact(db, writing, reports, {
        id: uuid(),
        trainingDate,
        occurredAt: morning,
        receivedAt: morning,
        pain: 0,
        swelling: "same",
      });
    }
    await db.query("UPDATE episodes SET version = version + 1 WHERE id = ?", [episodeId]);
  } finally {
    await db.end();
  }
}

/** Every set that a prescription asks for, at its top and easy. */
function doneSets(exerciseId: string, prescription: Prescription): SetRecord[] {
  const exercise = startingExercises.find(({ id }) => id === exerciseId);
  if (!exercise) throw new Error(exerciseId);
  const { dose } = prescription;
  const sides =
    sidesOf(exercise, prescription) === "each-side" ? (["left", "right"] as const) : (["both"] as const);
  return Array.from({ length: dose.sets }).flatMap(() =>
    sides.map((side) => ({
      side,
      ...doneOf(dose),
      painDuring: 0,
      painSite: "episode" as const,
      effort: 5,
      faults: [],
    })),
  );
}

const doneOf = ({ reps, hold, contacts, minutes, loadKg }: Dose) => ({
  ...(reps ? { reps: reps.top } : {}),
  ...(hold ? { holdSeconds: hold.top } : {}),
  ...(contacts ? { contacts: contacts.top } : {}),
  ...(minutes === undefined ? {} : { minutes }),
  ...(loadKg === undefined ? {} : { loadKg }),
});
