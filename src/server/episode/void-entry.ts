import type { Written } from "~/contract/episode";
import type { VoidingBody } from "~/contract/record";
import { isVoided, type Voided, type VoidedKind } from "~/core/schema/voided";
import type { StaffContext } from "~/server/staff-context";
import { documents } from "~/server/facts/documents";
import { appendFact, episodeOfFact } from "~/server/facts/sql";
import { voidings } from "~/server/facts/voidings";
import { refused } from "~/server/http/problem";
import type { WriteScope } from "~/server/write/write-into";
import { writeFact } from "./write-fact";

/**
 * Takes a session, a report, a result or a document out of the judgement: it was written into the wrong record, or never was
 * so. It stays in the record with who did it and why, and what it had corrected stands again. A stop it raised stays until
 * it is cleared in writing.
 *
 * @throws ApiProblem 422 for what is not in this record, and for what is voided already
 */
export function voidEntry(staff: StaffContext, episodeId: string, body: VoidingBody): Promise<Written> {
  const fact = { of: "voidings", body, action: `void-${body.kind}` } as const;
  return writeFact(staff, episodeId, fact, async (scope) => {
    const { db, writing } = scope;
    const targetId = body.targetId.toLowerCase();
    const target = await findTarget(scope, body.kind, targetId);
    const path = "/targetId";
    if (!target) throw refused([{ path, problem: "is not in this patient's record" }]);
    if (isVoided(target)) throw refused([{ path, problem: "is voided already" }]);
    await appendFact(db, writing, voidings, { ...body, targetId, at: writing.at });
  });
}

type Target = { readonly voided?: Voided };

async function findTarget(
  { db, writing, loaded: { file, parts } }: WriteScope,
  kind: VoidedKind,
  targetId: string,
): Promise<Target | undefined> {
  const among = (facts: readonly (Target & { readonly id: string })[]) =>
    facts.find(({ id }) => id === targetId);
  switch (kind) {
    case "session":
      return among(file.sessions);
    case "report":
      return among(file.reports);
    case "result":
      return among(file.results);
    case "document": {
      const owner = await episodeOfFact(db, documents, writing.clinicId, targetId);
      if (owner !== writing.episodeId) return undefined;
      const voided = parts.voidings.find((v) => v.kind === kind && v.targetId === targetId);
      return voided ? { voided } : {};
    }
  }
}
