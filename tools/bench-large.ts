import type { Row } from "./bench-compare";

const rounds = 12;
const median = (values: number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;

/** What is asked of both clinics: the one of thousands, and the one of a hundred. Texts that fit as many rows as are shown in either. */
const asked = [
  { what: "caseload, first page", path: () => "/api/caseload" },
  { what: "caseload, one kind", path: () => "/api/caseload?only=step-up" },
  { what: "caseload, those I look after", path: () => "/api/caseload?held=mine" },
  { what: "caseload, by one letter", path: () => "/api/caseload?name=a" },
  { what: "search by a part of a name", path: () => "/api/people/search", body: { text: "an" } },
  { what: "search by one letter", path: () => "/api/people/search", body: { text: "a" } },
  { what: "a stair, page", path: (id: string) => `/episodes/${id}` },
  { what: "a record, page", path: (id: string) => `/episodes/${id}/record` },
] as const;

export interface Clinic {
  readonly cookie: string;
  /** An episode whose record is as long in either. */
  readonly episodeId: string;
}

/** Every page of a clinic of thousands against the same page of one of a hundred: time, and bytes. */
export async function largeRows(base: string, large: Clinic, small: Clinic): Promise<Row[]> {
  const rows: Row[] = [];
  for (const one of asked) {
    const ask = async ({ cookie, episodeId }: Clinic) => {
      const body = "body" in one ? JSON.stringify(one.body) : undefined;
      const started = performance.now();
      const reply = await fetch(base + one.path(episodeId), {
        method: body === undefined ? "GET" : "POST",
        headers: {
          cookie,
          origin: base,
          ...(body === undefined ? {} : { "content-type": "application/json" }),
        },
        ...(body === undefined ? {} : { body }),
      });
      const bytes = (await reply.arrayBuffer()).byteLength;
      if (!reply.ok) throw new Error(`${one.path(episodeId)} answered ${reply.status}`);
      return { ms: performance.now() - started, bytes };
    };
    const [ours, theirs] = [[] as number[], [] as number[]];
    let [oursBytes, theirBytes] = [0, 0];
    for (let round = -2; round < rounds; round += 1) {
      const [a, b] = [await ask(large), await ask(small)];
      if (round < 0) continue;
      ours.push(a.ms);
      theirs.push(b.ms);
      [oursBytes, theirBytes] = [a.bytes, b.bytes];
    }
    rows.push({
      what: `${one.what}, clinic of thousands (${Math.round(oursBytes / 1024)} kB)`,
      baseline: `the same in a clinic of a hundred (${Math.round(theirBytes / 1024)} kB)`,
      target: "≤ 1.3 ×",
      oursMs: median(ours),
      baselineMs: median(theirs),
    });
  }
  return rows;
}
