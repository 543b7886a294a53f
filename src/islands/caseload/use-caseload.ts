import { useCallback, useEffect, useLayoutEffect, useRef, useState } from "react";
import type { CaseloadPage, CaseloadQuery, CaseloadRow } from "~/contract/clinic";
import { call } from "~/islands/frame/call";
import { joinedRows } from "./joined-rows";

const renewEveryMs = 15_000;
const typingMs = 150;
/** So many of the rows beyond the first page are read again with it. */
const renewedBeyond = 100;

/** What of the caseload is looked at. */
export type Asked = { readonly [K in "only" | "held" | "today" | "name"]?: CaseloadQuery[K] | undefined };

interface Read extends CaseloadPage {
  /** What these rows were asked for by. */
  readonly by: Asked;
}

/** Without what is not asked. */
const plain = (by: Asked): Asked =>
  Object.fromEntries(Object.entries(by).filter(([, value]) => value !== undefined));

const idsOf = (rows: readonly CaseloadRow[]) => rows.map(({ episodeId }) => episodeId);

/**
 * The caseload as it is asked for, a page at a time: read again every quarter of a minute, when something else is asked for, and
 * when more is wanted.
 */
export function useCaseload(first: CaseloadPage) {
  const [read, setRead] = useState<Read>({ ...first, by: {} });
  const [asked, setAsked] = useState<Asked>({});
  const now = useRef(read);
  useLayoutEffect(() => {
    now.current = read;
  });
  const turn = useRef(0);

  /** Reads the first page again, and what stands beyond it. */
  const renew = useCallback(async (by: Asked, options?: { unattended: boolean }): Promise<void> => {
    const mine = (turn.current += 1);
    const answer = await call("listCaseload", by, undefined, options);
    if (!answer.ok || mine !== turn.current) return;
    const isSame = JSON.stringify(now.current.by) === JSON.stringify(by);
    const seen = new Set(idsOf(answer.value.rows));
    const beyond = isSame ? idsOf(now.current.rows).filter((id) => !seen.has(id)) : [];
    if (beyond.length === 0) return setRead({ ...answer.value, by });
    const others = await call(
      "listCaseload",
      { ...by, ids: beyond.slice(0, renewedBeyond).join() },
      undefined,
      options,
    );
    if (!others.ok || mine !== turn.current) return;
    const { next } = now.current;
    setRead({ ...answer.value, rows: joinedRows(answer.value.rows, others.value.rows), next, by });
  }, []);

  const ask = useCallback((by: Asked) => setAsked(plain(by)), []);

  const isFirst = useRef(true);
  useEffect(() => {
    if (isFirst.current) {
      isFirst.current = false;
      return;
    }
    const timer = setTimeout(() => void renew(asked), asked.name === undefined ? 0 : typingMs);
    return () => clearTimeout(timer);
  }, [asked, renew]);

  useEffect(() => {
    const timer = setInterval(
      () => void (document.hidden ? undefined : renew(asked, { unattended: true })),
      renewEveryMs,
    );
    return () => clearInterval(timer);
  }, [asked, renew]);

  /** Reads the next page; the rows after those that are there. @returns all there are now */
  const more = useCallback(async (): Promise<readonly CaseloadRow[]> => {
    const { rows, next, by } = now.current;
    if (next === null) return rows;
    const mine = (turn.current += 1);
    const answer = await call("listCaseload", { ...by, after: next });
    if (!answer.ok || mine !== turn.current) return rows;
    const all = joinedRows(rows, answer.value.rows);
    setRead({ ...now.current, rows: all, next: answer.value.next });
    return all;
  }, []);

  return { read, asked, ask, more, renew: useCallback(() => renew(asked), [renew, asked]) };
}
