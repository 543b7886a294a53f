import type { RecordView } from "~/contract/record";
import { sayTime, t } from "~/messages/say";
import EntryBody from "./EntryBody";

/** A whole record as it is printed: every entry, oldest first, with nothing to tap. Made on the server. */
export default function Everything({ record: given }: { record: RecordView }) {
  const record = { ...given, mayRecord: false, maySign: false };
  return (
    <ol className="mt-2">
      {[...record.entries].reverse().map((entry, n) => (
        <li
          key={n}
          className="border-base-300 grid gap-x-4 border-t py-2 sm:grid-cols-[10.5rem_1fr] print:grid-cols-[10.5rem_1fr]"
        >
          <p className="text-sm">
            <span className="font-semibold">{t(`record.${entry.kind}`)}</span>
            <br />
            {sayTime(entry.at, record.zone)}
            <br />
            {entry.by}
          </p>
          <div className="min-w-0">
            <EntryBody entry={entry} record={record} onChanged={() => undefined} />
          </div>
        </li>
      ))}
    </ol>
  );
}
