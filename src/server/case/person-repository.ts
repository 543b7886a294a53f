import { toDatabaseTime, type Queryable } from "~/server/db/connection";
import type { EpisodeHead, NormGroup } from "./episode-repository";
import { keepWords } from "./person-words";

/** Writes who a person is, as it was put right. */
export async function setIdentity(
  db: Queryable,
  clinicId: string,
  personId: string,
  { givenName, familyName, bornOn, activity, normGroup, contact }: EpisodeHead["person"],
): Promise<void> {
  await db.execute(
    `UPDATE people
        SET given_name = ?, family_name = ?, born_on = ?, activity = ?, norm_group = ?, contact = ?
      WHERE clinic_id = ? AND id = ?`,
    [givenName, familyName, bornOn, activity, normGroup, contact, clinicId, personId],
  );
  await keepWords(db, clinicId, { id: personId, givenName, familyName, bornOn });
}

export async function insertPerson(
  db: Queryable,
  clinicId: string,
  person: {
    id: string;
    givenName: string;
    familyName: string;
    bornOn: string;
    activity: string;
    normGroup?: NormGroup | undefined;
    contact?: string | undefined;
    at: string;
  },
): Promise<void> {
  await db.execute(
    `INSERT INTO people (clinic_id, id, given_name, family_name, born_on, activity, norm_group, contact, created_at)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      clinicId,
      person.id,
      person.givenName,
      person.familyName,
      person.bornOn,
      person.activity,
      person.normGroup ?? null,
      person.contact?.trim() ?? null,
      toDatabaseTime(person.at),
    ],
  );
  await keepWords(db, clinicId, person);
}
