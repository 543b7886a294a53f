import mysql from "mysql2/promise";
import { v7 as uuid } from "uuid";
import { engineVersion } from "~/core/decision/decide";
import type { CaseFile } from "~/core/case/case-file";
import { addDays, localDay } from "~/core/schedule/local-day";
import { readPage } from "~/server/caseload/caseload-repository";
import { pool, connectionOptions } from "~/server/db/connection";
import { readCases } from "~/server/case/case-loader";
import { findEpisodes } from "~/server/case/episode-repository";
import { storeCase } from "~/server/case/store-case";
import { demoClinic, demoStaffId } from "~demo/clinic";
import { demoId } from "~demo/identity";
import { demoPeople } from "~demo/people";
import { simulate } from "~demo/simulate";
import { compare, type Row } from "./bench-compare";

const wanted = 500;

const anyId = /[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}/g;

/** The same case under ids of its own. */
function again(file: CaseFile): CaseFile {
  const ids = new Map<string, string>();
  const text = JSON.stringify(file).replace(anyId, (id) => {
    ids.set(id, ids.get(id) ?? uuid());
    return ids.get(id) ?? id;
  });
  return JSON.parse(text) as CaseFile;
}

/** Fills the demo's clinic up to 500 active episodes, each with the history of one of the demo's people. @returns their ids */
export async function fillCaseload(): Promise<string[]> {
  const db = await mysql.createConnection(connectionOptions(process.env["DATABASE_OWNER_URL"] ?? ""));
  const today = localDay(new Date().toISOString(), demoClinic.zone);
  const staff = { clinicId: demoClinic.id, staffId: demoStaffId("clinician") };
  const ids: string[] = demoPeople.map(({ profile }) => demoId(profile.key, "episode"));
  const lived = new Map(demoPeople.map(({ profile }) => [profile.key, simulate(profile, today)]));
  await db.beginTransaction();
  for (let n = 0; ids.length < wanted; n += 1) {
    const model = demoPeople[n % demoPeople.length];
    if (!model) throw new Error("the demo has people");
    const file = again(lived.get(model.profile.key) ?? simulate(model.profile, today));
    const person = {
      id: uuid(),
      givenName: model.givenName,
      familyName: `${model.familyName} ${n}`,
      bornOn: addDays(today, -10_000 - n),
      activity: model.activity,
    };
    const about = { region: file.pathway.region ?? "groin", diagnosis: model.diagnosis };
    await storeCase(db, staff, person, file, about);
    ids.push(file.episode.id);
  }
  await db.commit();
  await db.end();
  return ids;
}

/** The caseload page with everything kept, and when time has overtaken every state at once, as midnight does. */
export async function caseloadRows(base: string, cookie: string, ids: readonly string[]): Promise<Row[]> {
  const now = () => new Date().toISOString();
  const page = async () => {
    const answer = await fetch(`${base}/`, { headers: { cookie } });
    if (answer.status !== 200) throw new Error(`the caseload answered ${answer.status}`);
    await answer.text();
  };
  const db = await mysql.createConnection(connectionOptions(process.env["DATABASE_OWNER_URL"] ?? ""));
  const overtake = () => db.query("UPDATE caseload_rows SET valid_until = UTC_TIMESTAMP(3)");
  await page();
  const kept = await compare(page, () => readPage(pool(), demoClinic.id, { most: 40 }, now(), engineVersion));
  const loadAll = async () => {
    for (let from = 0; from < ids.length; from += 50) {
      const heads = await findEpisodes(pool(), demoClinic.id, ids.slice(from, from + 50));
      await readCases(pool(), demoClinic.id, heads);
    }
  };
  const overtaken = await compare(async () => {
    await overtake();
    await page();
  }, loadAll);
  await db.end();
  return [
    {
      what: `caseload page, ${ids.length} active episodes, all states kept`,
      baseline: "its own SQL, run bare",
      target: "≤ 1.5 × + 20 ms",
      ...kept,
    },
    {
      what: `caseload page, ${ids.length} states overtaken by time at once`,
      baseline: "reading the 500 records from the database, bare",
      target: "≤ 1.5 ×",
      ...overtaken,
    },
  ];
}
