import { afterAll, beforeAll, beforeEach, expect } from "vitest";
import { v7 as uuid } from "uuid";
import { startingExercises } from "~/catalogue/exercises/all";
import { someIntake } from "~tests/builders/intake";
import { beginning } from "../../tools/machine/template.mjs";
import { signedIn, type Client, type Reply } from "./client";
import { sharedServers, startServers, type Servers } from "./servers";

/** What the tests of one file share: a server that nobody else uses meanwhile, and two of the clinic's staff. Filled before the first test. */
export interface AtClinic {
  servers: Servers;
  client: Client;
  assistant: Client;
}

/**
 * Sets up a file of tests at the endpoints and clears away after it; every test begins at the same hour.
 *
 * @param own whether the file needs a clinic in which no other file has written: it counts people, or changes the clinic itself
 */
export function atClinic({ own = false } = {}): AtClinic {
  const clinic = {} as AtClinic;
  beforeAll(async () => {
    clinic.servers = own ? await startServers(1) : await sharedServers();
    clinic.servers.setClock(beginning);
    const url = clinic.servers.urls[0] as string;
    clinic.client = await signedIn(url);
    clinic.assistant = await signedIn(url, "assistant");
  });
  beforeEach(() => clinic.servers.setClock(beginning));
  afterAll(() => clinic.servers.stop());
  return clinic;
}

export const at = (id: string, what: string) => `/api/episodes/${id}/${what}`;
/** Fields that an answer names as wrong. */
export const paths = ({ body }: Reply): string[] =>
  (body.problems ?? []).map((p: { path: string }) => p.path);

/** The exercise that a variant of the catalogue belongs to. */
export const idOf = (variantId: string) =>
  startingExercises.find(({ variants }) => variants.some(({ id }) => id === variantId))?.id;
export const item = (variantId: string) => ({ id: uuid(), exerciseId: idOf(variantId), variantId });

/** Signs an intake with one exercise at a stage. @returns the episode */
export async function begin(
  { client }: Pick<AtClinic, "client">,
  [pathway, stage, variantId]: readonly [pathway: string, stage: string, variantId: string],
  intake: object = {},
  over: object = {},
): Promise<string> {
  const id = uuid();
  const reply = await client.post("/api/intakes", {
    id,
    intake: someIntake(pathway, intake),
    stage,
    reason: "Placed for this test, all of it known",
    items: [item(variantId)],
    ...over,
  });
  expect(reply.body.problems ?? []).toEqual([]);
  return id;
}

/** The words of every limit that is in force or to come. */
export const limitsOf = async ({ client }: AtClinic, id: string): Promise<string[]> =>
  (await client.get(at(id, "history"))).body.limits.map((l: { says: string }) => l.says);

/** The words with which an exercise is refused; null when it is taken. */
export async function add({ client }: AtClinic, id: string, variantId: string): Promise<string | null> {
  const { status, body } = await client.post(at(id, "items"), item(variantId));
  return status === 201 ? null : body.problems.map((p: { problem: string }) => p.problem).join("; ");
}

/** An operation as it is signed. */
export const operation = (over: object = {}) => ({
  id: uuid(),
  kind: "operation",
  on: "2026-03-06",
  procedures: ["meniscus-repair"],
  reason: "From the surgeon's letter of the 6th",
  ...over,
});
