import type { RowDataPacket } from "mysql2";
import type { CaseloadRow } from "~/contract/clinic";
import { attentionCodes, type CaseloadState } from "~/core/caseload/attention";
import { rulesOver, writtenOver } from "~/server/case/overtaken";
import { joinsOfWords, walkByWords } from "~/server/case/person-words";
import { fromDatabaseJson, toDatabaseTime, type Queryable } from "~/server/db/connection";

/** The kept state of an episode, and until when it holds. */
export interface KeptState {
  readonly episodeId: string;
  readonly episodeVersion: number;
  readonly state: CaseloadState;
  readonly onsetOn: string;
  /** Id of whoever looks after it. */
  readonly heldBy: string | null;
  /** Paused or closed: it stands in no caseload. */
  readonly resting: boolean;
  readonly validUntil: string;
}

type Identity = Omit<CaseloadRow, keyof CaseloadState | "expected">;

/** An active episode with what is kept of it; `state` is null when what is kept no longer holds. */
export interface CaseloadEntry {
  readonly identity: Identity;
  readonly place: Place;
  readonly state: CaseloadState | null;
}

/** Where a row stands in the order of a caseload: by who needs somebody first, then by how long it has been. */
export interface Place {
  readonly place: number;
  readonly onsetOn: string;
  readonly episodeId: string;
}

/** Which rows of a clinic are wanted. */
export interface Wanted {
  readonly only?: CaseloadRow["attention"] | undefined;
  /** Those whom this member of staff looks after. */
  readonly heldBy?: string | undefined;
  /** Parts of a name, or a year of birth. */
  readonly name?: string | undefined;
  /** From so many on whom each word fits the list is walked; left out: where that is worth it. */
  readonly walkedFrom?: number;
  readonly ids?: readonly string[] | undefined;
  /** Not these: they stand elsewhere in the list. */
  readonly without?: readonly string[] | undefined;
  /** After this row. */
  readonly after?: Place | undefined;
  readonly most: number;
}

const placeOf = new Map(attentionCodes.map((code, place) => [code, place]));
const never = "9999-12-31T00:00:00.000Z";

/**
 * A page of a clinic's active episodes in their order, along an index; with a holder along theirs, with a name that few have along that.
 */
export async function readPage(
  db: Queryable,
  clinicId: string,
  { only, heldBy, name, walkedFrom, ids, without, after, most }: Wanted,
  now: string,
  engineVersion: string,
): Promise<CaseloadEntry[]> {
  const walk =
    name === undefined || ids !== undefined ? null : await walkByWords(db, name, clinicId, "e", walkedFrom);
  const words = name === undefined || walk ? { joins: "", values: [] } : joinsOfWords(name, clinicId);
  if (!words) return [];
  const { joins, values } = words;
  const wanted: (readonly [string, readonly unknown[]])[] = [
    // A row that was not worked out since its episode ended may still say otherwise: the episode knows.
    ["c.clinic_id = ? AND c.resting = FALSE AND e.ended_at IS NULL AND e.paused_at IS NULL", [clinicId]],
    ...(only === undefined ? [] : [["c.place = ?", [placeOf.get(only)]] as const]),
    ...(heldBy === undefined ? [] : [["c.held_by = ?", [heldBy]] as const]),
    ...(walk === null ? [] : [[walk.conditions.join(" AND "), walk.values] as const]),
    ...(ids === undefined ? [] : [["c.episode_id IN (?)", [ids.length > 0 ? ids : [""]]] as const]),
    ...(without === undefined || without.length === 0
      ? []
      : [["c.episode_id NOT IN (?)", [without]] as const]),
    ...(after === undefined
      ? []
      : [
          [
            "(c.place > ? OR (c.place = ? AND (c.onset_on > ? OR (c.onset_on = ? AND c.episode_id > ?))))",
            [after.place, after.place, after.onsetOn, after.onsetOn, after.episodeId],
          ] as const,
        ]),
  ];
  // Along the order of the list, unless few rows are picked out of it by something else.
  const key = heldBy === undefined ? "caseload_rows_page" : "caseload_rows_holder";
  const order = joins === "" && ids === undefined ? `FORCE INDEX (${key})` : "";
  const [rows] = await db.query<RowDataPacket[]>(
    `SELECT e.id, e.diagnosis_text, e.involved_side, p.given_name, p.family_name, p.activity,
            YEAR(p.born_on) AS birth_year, e.held_by, h.name AS held_by_name, c.place, c.onset_on,
            IF(c.episode_version <> e.version OR c.valid_until <= ? OR c.engine_version <> ?, NULL, c.body) AS body
       FROM caseload_rows c ${order}
       JOIN episodes e ON e.clinic_id = c.clinic_id AND e.id = c.episode_id
       JOIN people p ON p.clinic_id = e.clinic_id AND p.id = e.person_id
       ${joins}
       LEFT JOIN staff h ON h.clinic_id = e.clinic_id AND h.id = e.held_by
      WHERE ${wanted.map(([text]) => text).join(" AND ")}
      ORDER BY c.place, c.onset_on, c.episode_id LIMIT ?`,
    [toDatabaseTime(now), engineVersion, ...values, ...wanted.flatMap(([, of]) => of), most],
  );
  return rows.map((row) => ({
    identity: {
      episodeId: String(row["id"]),
      person: { givenName: row["given_name"], familyName: row["family_name"], activity: row["activity"] },
      birthYear: Number(row["birth_year"]),
      heldBy: row["held_by"] === null ? null : { id: row["held_by"], name: row["held_by_name"] },
      diagnosis: row["diagnosis_text"],
      involvedSide: row["involved_side"],
    },
    place: { place: Number(row["place"]), onsetOn: String(row["onset_on"]), episodeId: String(row["id"]) },
    state: row["body"] === null ? null : fromDatabaseJson<CaseloadState>(row["body"]),
  }));
}

/** Of each attention so many are counted: a clinic of thousands takes no longer than one of some hundreds. */
export const countedTo = 300;

/**
 * How many active episodes of a clinic stand at each attention, as far as they are counted. Along an index alone.
 *
 * @param heldBy whom they are looked after by; null for all
 */
export async function countPlaces(
  db: Queryable,
  clinicId: string,
  heldBy: string | null,
): Promise<Map<CaseloadRow["attention"], number>> {
  const of = heldBy === null ? "" : "AND held_by = ?";
  const key = heldBy === null ? "caseload_rows_page" : "caseload_rows_holder";
  const values = [clinicId, ...(heldBy === null ? [] : [heldBy])];
  const oneKind = (place: number, which: string) =>
    `SELECT ${place} AS place, COUNT(*) AS count FROM
       (SELECT 1 FROM caseload_rows FORCE INDEX (${key})
         WHERE clinic_id = ? ${of} AND resting = FALSE AND place ${which} ${place} LIMIT ${countedTo}) AS of_place`;
  const known = [...attentionCodes.keys()].map((place) => oneKind(place, "="));
  const kinds = [...known, oneKind(attentionCodes.length, ">=")];
  const [rows] = await db.execute<RowDataPacket[]>(
    kinds.join(" UNION ALL "),
    kinds.flatMap(() => values),
  );
  const counts = new Map<CaseloadRow["attention"], number>();
  for (const row of rows) {
    // Of a place that no code has: a row that was never worked out yet.
    const code = attentionCodes[Number(row["place"])] ?? "unreadable";
    const count = (counts.get(code) ?? 0) + Number(row["count"]);
    if (count > 0) counts.set(code, Math.min(countedTo, count));
  }
  return counts;
}

/**
 * Episodes of a clinic whose kept state holds no more and is worked out before anything is shown: what a write has overtaken; and what
 * time has, where no more than so many wait. Of thousands that midnight has overtaken some would help nobody: they are the sweeper's.
 */
export async function staleOf(
  db: Queryable,
  clinicId: string,
  now: string,
  most: { readonly written: number; readonly byTime: number },
): Promise<string[]> {
  const asked = async (text: string, values: unknown[], limit: number) => {
    const [rows] = await db.query<RowDataPacket[]>(
      `SELECT episode_id FROM caseload_rows FORCE INDEX (caseload_rows_stale)
        WHERE clinic_id = ? AND ${text} ORDER BY valid_until LIMIT ?`,
      [clinicId, ...values, limit],
    );
    return rows.map((row) => String(row["episode_id"]));
  };
  const written = await asked("valid_until = ?", [writtenOver], most.written);
  const until = [writtenOver, toDatabaseTime(now)];
  const byTime = await asked("valid_until > ? AND valid_until <= ?", until, most.byTime + 1);
  return byTime.length > most.byTime ? written : [...written, ...byTime];
}

/** Some episodes, of any clinic, whose kept state no longer holds. For the sweeper. */
export async function staleEpisodes(
  db: Queryable,
  now: string,
  quiet: { readonly writtenBefore: string; readonly computedBefore: string },
  atMost: number,
): Promise<{ clinicId: string; zone: string; episodeId: string }[]> {
  const [rows] = await db.query<RowDataPacket[]>(
    `SELECT c.clinic_id, c.episode_id, k.zone
       FROM caseload_rows c FORCE INDEX (caseload_rows_due)
       JOIN episodes e ON e.clinic_id = c.clinic_id AND e.id = c.episode_id
       JOIN clinics k ON k.id = c.clinic_id
      WHERE c.valid_until <= ? AND (e.written_at <= ? OR c.computed_at <= ?)
      ORDER BY c.valid_until LIMIT ?`,
    [toDatabaseTime(now), toDatabaseTime(quiet.writtenBefore), toDatabaseTime(quiet.computedBefore), atMost],
  );
  return rows.map((row) => ({
    clinicId: String(row["clinic_id"]),
    zone: String(row["zone"]),
    episodeId: String(row["episode_id"]),
  }));
}

/**
 * Says of every state that another engine worked out that it holds no more. Once for each process. Who rests stands in no list, and is
 * worked out when the episode goes on.
 */
export async function overtakeOtherEngines(db: Queryable, engineVersion: string): Promise<void> {
  await db.execute(
    "UPDATE caseload_rows SET valid_until = ? WHERE engine_version <> ? AND valid_until > ? AND resting = FALSE",
    [rulesOver, engineVersion, rulesOver],
  );
}

/**
 * Keeps states; one computed from an older version of its episode never takes the place of a newer one. Rows go in by id,
 * so that two who keep the same ones wait for each other instead of ending each other.
 */
export async function keepStates(
  db: Queryable,
  clinicId: string,
  kept: readonly KeptState[],
  computedAt: string,
  engineVersion: string,
): Promise<void> {
  if (kept.length === 0) return;
  const newer = "VALUES(episode_version) >= episode_version";
  const columns = [
    "body",
    "engine_version",
    "computed_at",
    "valid_until",
    "place",
    "onset_on",
    "resting",
    "held_by",
  ];
  await db.query(
    `INSERT INTO caseload_rows
       (clinic_id, episode_id, episode_version, engine_version, computed_at, valid_until, body, place, onset_on, resting,
        held_by)
     VALUES ?
     ON DUPLICATE KEY UPDATE
       ${columns.map((name) => `${name} = IF(${newer}, VALUES(${name}), ${name})`).join(",\n       ")},
       episode_version = GREATEST(VALUES(episode_version), episode_version)`,
    [
      [...kept]
        .sort((a, b) => (a.episodeId < b.episodeId ? -1 : 1))
        .map(({ episodeId, episodeVersion, state, onsetOn, heldBy, resting, validUntil }) => [
          clinicId,
          episodeId,
          episodeVersion,
          engineVersion,
          toDatabaseTime(computedAt),
          toDatabaseTime(resting ? never : validUntil),
          JSON.stringify(state),
          placeOf.get(state.attention) ?? placeOf.size,
          onsetOn,
          resting,
          heldBy,
        ]),
    ],
  );
  await overtakeWritten(
    db,
    clinicId,
    kept.map(({ episodeId }) => episodeId),
  );
}

/** What was written while its state was worked out holds no more. Looked at without a lock, so that nobody waits for it. */
async function overtakeWritten(db: Queryable, clinicId: string, ids: readonly string[]): Promise<void> {
  const [rows] = await db.query<RowDataPacket[]>(
    `SELECT c.episode_id, c.episode_version FROM caseload_rows c
       JOIN episodes e ON e.clinic_id = c.clinic_id AND e.id = c.episode_id
      WHERE c.clinic_id = ? AND c.episode_id IN (?) AND c.episode_version <> e.version`,
    [clinicId, ids],
  );
  for (const row of rows)
    await db.execute(
      "UPDATE caseload_rows SET valid_until = ? WHERE clinic_id = ? AND episode_id = ? AND episode_version = ?",
      [writtenOver, clinicId, row["episode_id"], row["episode_version"]],
    );
}
