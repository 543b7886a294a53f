import fc from "fast-check";
import type { CaseFile } from "~/core/case/case-file";
import { demoPeople, type DemoPerson } from "~demo/people";
import { simulate } from "~demo/simulate";
import { arbitraryCase } from "./random-case";

/** Living a record takes twenty times as long as reading it: each is lived once, for all who read it in one process. */
const most = 60;
const atOnce = 20;
const seed = Number(process.env["CASES_SEED"] ?? 11);
const lived: CaseFile[] = [];
const people = new Map<string, CaseFile>();

/** The day on which the demo's cases of the tests are lived. */
export const demoDay = "2026-03-10";

/** Random records of whole plans, lived; the same ones for everybody, so nobody alters them. */
export function livedCases(many: number): readonly CaseFile[] {
  while (lived.length < many)
    lived.push(...fc.sample(arbitraryCase, { numRuns: atOnce, seed: seed + lived.length }));
  return lived.slice(0, many);
}

/** One of them. */
export const livedCase: fc.Arbitrary<CaseFile> = fc
  .nat(most - 1)
  .map((n) => livedCases(n + 1)[n] as CaseFile);

/** The record of one of the demo's people, as it stands in the morning; lived once. */
export function demoCase({ profile }: DemoPerson): CaseFile {
  const file = people.get(profile.key) ?? {
    ...simulate(profile, demoDay),
    asOf: `${demoDay}T08:00:00Z`,
  };
  people.set(profile.key, file);
  return file;
}

/** Of all of them, by their keys. */
export const demoCases = (): [string, CaseFile][] =>
  demoPeople.map((person) => [person.profile.key, demoCase(person)]);
