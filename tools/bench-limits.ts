import { demoId } from "~demo/identity";
import { compare, type Row } from "./bench-compare";

/**
 * The library for one patient, every variant judged against their limits (an operation with two procedures brings more than
 * ten), against the same library without a patient. Drawings that were read are kept, as they are while somebody works.
 */
export async function limitRow(base: string, cookie: string): Promise<Row> {
  const headers = { cookie, origin: base, "content-type": "application/json" };
  const id = demoId("speed-skater", "episode");
  const event = {
    id: crypto.randomUUID(),
    kind: "operation",
    on: new Date().toISOString().slice(0, 10),
    procedures: ["hip-arthroscopy", "meniscus-repair"],
    reason: "So that there are more than ten limits",
  };
  const signed = await fetch(`${base}/api/episodes/${id}/events`, {
    method: "POST",
    headers,
    body: JSON.stringify(event),
  });
  const { history } = (await signed.json()) as { history?: { limits: unknown[] } };
  if ((history?.limits.length ?? 0) < 10) throw new Error("ten limits are to be judged");
  const read = async (path: string) => (await fetch(base + path, { headers })).text();
  const result = await compare(
    () => read(`/api/episodes/${id}/library`),
    () => read("/api/library"),
  );
  return {
    what: "library of a patient, every variant against more than ten limits",
    baseline: "the library without limits",
    target: "≤ 2 ×",
    ...result,
  };
}
