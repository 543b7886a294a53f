import type { RowDataPacket } from "mysql2";
import { v5 as uuidOf } from "uuid";
import { standingEvents } from "~/core/event/standing-events";
import type { Restriction } from "~/core/limit/restriction";
import type { CaseSignal } from "~/core/case/case-file";
import { stoppingPinch } from "~/core/decision/rules/stop";
import { pinchGrade } from "~/core/response/judge-day";
import type { SetRecord } from "~/core/response/session-record";
import { t } from "~/messages/say";
import { fromDatabaseJson, fromDatabaseTime, type Queryable } from "~/server/db/connection";
import { circumstances } from "~/server/facts/circumstances";
import { clearances } from "~/server/facts/clearances";
import { conditionChanges } from "~/server/facts/condition-changes";
import { events } from "~/server/facts/events";
import { items } from "~/server/facts/items";
import { signalClearances } from "~/server/facts/signal-clearances";
import { signals } from "~/server/facts/signals";
import { readFacts, type ByEpisode } from "~/server/facts/sql";
import { changesOfIntakes, type ConditionChange } from "./conditions-of";
import { readIntakeAnswers } from "./intake-answers-repository";

/** A stop signal of the person that was raised in another episode, with who raised and who cleared it. */
export interface SignalElsewhere extends CaseSignal {
  readonly by: string;
  readonly clearedBy: string | null;
}

/** What is known of a person from their other episodes. */
export interface Elsewhere {
  readonly signals: readonly SignalElsewhere[];
  /** Conditions that the other episodes' intakes and signatures said of the person. */
  readonly conditions: readonly ConditionChange[];
  /** Limits of the other episodes that are still active. */
  readonly limits: readonly Restriction[];
  /** Words of what else hurts. */
  readonly problems: readonly string[];
}

/** Facts are from the past: all of them count. */
const everSince = "9999-12-31T00:00:00.000Z";

interface Sibling {
  readonly involvedSide: "left" | "right" | "both";
  readonly isActive: boolean;
  readonly episodeId: string;
  readonly otherId: string;
  readonly diagnosis: string;
}

/**
 * What bears on an episode from the person's other ones: stop signals, pinches and blocks written down there included,
 * conditions, limits. One query where nobody has two episodes.
 */
export async function readElsewhere(
  db: Queryable,
  clinicId: string,
  episodeIds: readonly string[],
): Promise<ByEpisode<Elsewhere>> {
  const siblings = await readSiblings(db, clinicId, episodeIds);
  if (siblings.length === 0) return new Map();
  const others = [...new Set(siblings.map(({ otherId }) => otherId))];
  const raised = await readFacts(db, signals, clinicId, others);
  const cleared = await readFacts(db, signalClearances, clinicId, others);
  const planned = await readFacts(db, items, clinicId, others);
  const itemClearances = await readFacts(db, clearances, clinicId, others);
  const pinches = await readPinches(db, clinicId, others);
  const answers = await readIntakeAnswers(db, clinicId, others);
  const changes = await readFacts(db, conditionChanges, clinicId, others);
  const settings = await readFacts(db, circumstances, clinicId, others);
  const happened = await readFacts(db, events, clinicId, others);
  const found = new Map<string, Elsewhere[]>();
  for (const { episodeId, otherId, diagnosis, involvedSide, isActive } of siblings) {
    const plan = new Map((planned.get(otherId) ?? []).map((item) => [item.id, item]));
    const seenIn = (itemId: string | undefined) => {
      const item = itemId === undefined ? undefined : plan.get(itemId);
      const exercise = item ? { exerciseId: item.exerciseId, lane: item.lane } : {};
      return { diagnosis, episodeId: otherId, ...exercise };
    };
    const ended = new Map((cleared.get(otherId) ?? []).map((entry) => [entry.signalId, entry]));
    const own = (raised.get(otherId) ?? []).map(
      ({ itemId, occurredAt: _then, ...signal }): SignalElsewhere => {
        const end = ended.get(signal.id);
        return {
          ...signal,
          elsewhere: seenIn(itemId),
          ...(end ? { cleared: { at: end.at, reason: end.reason } } : {}),
          clearedBy: end?.by ?? null,
        };
      },
    );
    const written = (pinches.get(otherId) ?? []).map((pinch): SignalElsewhere => {
      const exerciseId = plan.get(pinch.itemId)?.exerciseId;
      const end = (itemClearances.get(otherId) ?? []).find(
        ({ itemId, at }) => at >= pinch.at && plan.get(itemId)?.exerciseId === exerciseId,
      );
      return {
        id: uuidOf(`pinch ${pinch.itemId}`, pinch.sessionId),
        code: "pinch-or-block",
        at: pinch.at,
        by: pinch.by,
        elsewhere: seenIn(pinch.itemId),
        ...(end ? { cleared: { at: end.at, reason: end.reason } } : {}),
        clearedBy: end?.by ?? null,
      };
    });
    const conditions = [...changesOfIntakes(answers.get(otherId) ?? []), ...(changes.get(otherId) ?? [])];
    const typed = settings.get(otherId)?.at(-1)?.circumstances.limits ?? [];
    const operated = standingEvents(happened.get(otherId) ?? [], everSince).flatMap(
      ({ limits }) => limits ?? [],
    );
    found.set(episodeId, [
      ...(found.get(episodeId) ?? []),
      {
        signals: [...own, ...written],
        conditions,
        limits: isActive ? [...typed, ...operated] : [],
        problems: isActive ? [`${diagnosis}, ${involvedSide}`] : [],
      },
    ]);
  }
  return found;
}

/** The other episodes of the same person, closed ones too. */
async function readSiblings(db: Queryable, clinicId: string, ids: readonly string[]): Promise<Sibling[]> {
  const [rows] = await db.query<RowDataPacket[]>(
    `SELECT e.id, o.id AS other_id, o.diagnosis_text, o.involved_side, o.ended_at
       FROM episodes e
       JOIN episodes o ON o.clinic_id = e.clinic_id AND o.person_id = e.person_id AND o.id <> e.id
      WHERE e.clinic_id = ? AND e.id IN (?)
      ORDER BY e.id, o.started_at, o.id`,
    [clinicId, ids],
  );
  return rows.map((row) => ({
    episodeId: String(row["id"]),
    otherId: String(row["other_id"]),
    diagnosis: String(row["diagnosis_text"]),
    involvedSide: row["involved_side"],
    isActive: row["ended_at"] === null,
  }));
}

interface Pinch {
  readonly sessionId: string;
  readonly itemId: string;
  readonly at: string;
  readonly by: string;
}

/** Pinches that stop and blocks as they were recorded, corrected sessions included: once for each session and exercise. */
async function readPinches(
  db: Queryable,
  clinicId: string,
  ids: readonly string[],
): Promise<Map<string, Pinch[]>> {
  const [rows] = await db.query<RowDataPacket[]>(
    `SELECT s.episode_id, s.id AS session_id, t.item_id, s.received_at, f.name, t.body
       FROM sessions s
       JOIN session_sets t ON t.clinic_id = s.clinic_id AND t.session_id = s.id
       LEFT JOIN staff f ON f.clinic_id = s.clinic_id AND f.id = s.recorded_by
      WHERE s.clinic_id = ? AND s.episode_id IN (?)
        AND JSON_VALUE(t.body, '$.limit.kind') IN ('pinch', 'block')
      ORDER BY s.received_at, t.position`,
    [clinicId, ids],
  );
  const found = new Map<string, Pinch[]>();
  for (const row of rows) {
    if (pinchGrade(fromDatabaseJson<SetRecord>(row["body"])) < stoppingPinch) continue;
    const episodeId = String(row["episode_id"]);
    const pinch: Pinch = {
      sessionId: String(row["session_id"]),
      itemId: String(row["item_id"]),
      at: fromDatabaseTime(row["received_at"]),
      by: row["name"] === null ? t("told.onPhone") : String(row["name"]),
    };
    const list = found.get(episodeId) ?? [];
    const isNew = !list.some(
      ({ sessionId, itemId }) => sessionId === pinch.sessionId && itemId === pinch.itemId,
    );
    if (isNew) list.push(pinch);
    found.set(episodeId, list);
  }
  return found;
}
