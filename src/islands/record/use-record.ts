import { useRef, useState } from "react";
import type { RecordKind } from "~/contract/record-kinds";
import type { RecordView } from "~/contract/record";
import { call } from "~/islands/frame/call";

/** Entries that a record begins with, and that come with each step down. */
export const recordAtOnce = 30;

/** A record that comes a part at a time, and what makes more of it come. */
export interface RecordInParts {
  readonly record: RecordView;
  readonly only: RecordKind | null;
  readonly show: (only: RecordKind | null) => void;
  /** Reads as much again as is here. */
  readonly readAgain: () => Promise<void>;
  readonly readMore: () => Promise<void>;
  /** Reads everything that is left. @returns whether all of it is here */
  readonly readAll: () => Promise<boolean>;
}

export function useRecord(loaded: RecordView): RecordInParts {
  const [record, setRecord] = useState(loaded);
  const [only, setOnly] = useState<RecordKind | null>(null);
  const busy = useRef(false);
  /** What was asked for last: an answer to what was asked for before it comes too late. */
  const asked = useRef(0);
  const id = loaded.episodeId;

  /** @param limit null for all there is */
  const read = async (kind: RecordKind | null, limit: number | null, after?: string) => {
    asked.current += 1;
    const mine = asked.current;
    const answer = await call("readRecord", {
      id,
      ...(limit === null ? {} : { limit: String(limit) }),
      ...(kind === null ? {} : { only: kind }),
      ...(after === undefined ? {} : { after }),
    });
    if (!answer.ok || mine !== asked.current) return false;
    const { value } = answer;
    setOnly(kind);
    setRecord((before) =>
      after === undefined ? value : { ...value, entries: [...before.entries, ...value.entries] },
    );
    return true;
  };
  return {
    record,
    only,
    show: (kind) => void read(kind, recordAtOnce),
    readAgain: async () => void (await read(only, Math.max(recordAtOnce, record.entries.length))),
    readMore: async () => {
      if (busy.current || record.next === null) return;
      busy.current = true;
      await read(only, recordAtOnce, record.next);
      busy.current = false;
    },
    readAll: async () => (record.next === null && only === null ? true : read(null, null)),
  };
}
