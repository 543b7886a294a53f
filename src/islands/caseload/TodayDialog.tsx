import { useEffect, useRef, useState } from "react";
import type { CaseloadRow } from "~/contract/clinic";
import type { DayFileView, ExpectedBody } from "~/contract/day";
import type { Problem } from "~/contract/problem";
import { call } from "~/islands/frame/call";
import ProblemNote from "~/islands/frame/ProblemNote";
import SearchBox from "~/islands/frame/SearchBox";
import { t } from "~/messages/say";
import { joinedRows } from "./joined-rows";
import { foundIn, markedChanges, type Marked } from "./marked-today";
import { namedLike } from "./named-like";

interface Props {
  /** Called once it is closed; whoever was marked stands in the list then. */
  onClose: () => void;
}

const mostBytes = 2_000_000;
const typingMs = 150;
const idsAtOnce = 100;

async function readRows(wanted: { name?: string; ids?: string }): Promise<readonly CaseloadRow[]> {
  const answer = await call("listCaseload", wanted);
  return answer.ok ? answer.value.rows : [];
}

/** Who comes today: ticked by hand, or read from the practice's own calendar. */
export default function TodayDialog({ onClose }: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  /** Everybody who was read: those who come, the top of the list, whoever was looked for or is named in a file. */
  const [rows, setRows] = useState<readonly CaseloadRow[]>([]);
  const [marked, setMarked] = useState<Marked>(new Map());
  const [name, setName] = useState("");
  const [file, setFile] = useState<DayFileView | null>(null);
  const [problem, setProblem] = useState<Problem | null>(null);
  useEffect(() => {
    dialog.current?.showModal();
    void readRows({}).then((found) => {
      setRows((before) => joinedRows(before, found));
      setMarked(
        (now) =>
          new Map([
            ...found.flatMap(({ episodeId, expected }) =>
              expected ? [[episodeId, expected.time] as const] : [],
            ),
            ...now,
          ]),
      );
    });
  }, []);
  useEffect(() => {
    if (name.trim() === "") return;
    const timer = setTimeout(
      () => void readRows({ name }).then((found) => setRows((before) => joinedRows(before, found))),
      typingMs,
    );
    return () => clearTimeout(timer);
  }, [name]);

  const set = (id: string, time: string | null | undefined) =>
    setMarked((now) => {
      const next = new Map(now);
      if (time === undefined) next.delete(id);
      else next.set(id, time);
      return next;
    });
  const read = async (chosen: File | undefined) => {
    if (!chosen) return;
    setFile(null);
    if (chosen.size > mostBytes)
      return setProblem({ type: "/problems/too-large", title: t("today.tooLarge"), status: 413 });
    const answer = await call("readDayFile", {}, { text: (await chosen.text()) || " " });
    setProblem(answer.ok ? null : answer.problem);
    if (!answer.ok) return;
    const found = foundIn(answer.value);
    const ids = [...found.keys()];
    for (let from = 0; from < ids.length; from += idsAtOnce) {
      const named = await readRows({ ids: ids.slice(from, from + idsAtOnce).join() });
      setRows((before) => joinedRows(before, named));
    }
    setFile(answer.value);
    setMarked((now) => new Map([...now, ...found]));
  };
  const save = async () => {
    const body: ExpectedBody = markedChanges(rows, marked);
    const answer = await call("markExpected", {}, body);
    if (answer.ok) dialog.current?.close();
    else setProblem(answer.problem);
  };

  const shown = rows.filter((row) => namedLike(row, name));
  return (
    <dialog
      ref={dialog}
      className="modal text-base-content"
      aria-label={t("today.set")}
      onClose={onClose}
      data-testid="today"
    >
      <div className="modal-box flex max-h-[90dvh] max-w-2xl flex-col gap-3">
        <h2 className="text-lg font-semibold">{t("today.set")}</h2>
        <p>{t("today.says")}</p>
        <div className="flex flex-wrap items-center gap-3">
          <SearchBox
            label={t("caseload.find")}
            placeholder={t("caseload.find")}
            value={name}
            onChange={setName}
            width="w-56 max-w-full"
          />
          <label className="btn">
            {t("today.file")}
            <input
              type="file"
              accept=".ics,text/calendar"
              className="sr-only"
              onChange={(event) => {
                void read(event.target.files?.[0]);
                event.target.value = "";
              }}
            />
          </label>
        </div>
        <ProblemNote problem={problem} sayPath={() => t("today.theFile")} />
        {file ? <FileWords file={file} /> : <p className="text-sm">{t("today.fileSays")}</p>}
        <ul className="border-base-300 min-h-40 flex-1 overflow-y-auto border-y" tabIndex={0}>
          {shown.map(({ episodeId: id, person, birthYear }) => {
            const said = `${person.givenName} ${person.familyName}`;
            return (
              <li key={id} className="flex min-h-11 flex-wrap items-center gap-x-3">
                <label className="flex min-h-11 flex-1 cursor-pointer items-center gap-3">
                  <input
                    type="checkbox"
                    className="checkbox"
                    checked={marked.has(id)}
                    onChange={(event) => set(id, event.target.checked ? null : undefined)}
                  />
                  <span>
                    {said} <span className="text-base-content/75">{birthYear}</span>
                  </span>
                </label>
                {marked.has(id) && (
                  <label className="flex items-center gap-2">
                    <span aria-hidden>{t("today.at")}</span>
                    <input
                      type="time"
                      className="input min-h-11 w-32"
                      aria-label={t("today.atOf", { name: said })}
                      value={marked.get(id) ?? ""}
                      onChange={(event) => set(id, event.target.value || null)}
                    />
                  </label>
                )}
              </li>
            );
          })}
        </ul>
        <div className="flex gap-3">
          <button type="button" className="btn btn-primary" onClick={() => void save()}>
            {t("today.save")}
          </button>
          <button type="button" className="btn" onClick={() => dialog.current?.close()}>
            {t("today.close")}
          </button>
        </div>
      </div>
    </dialog>
  );
}

/** What was found in a calendar file, and what was not. */
function FileWords({ file: { entries, cut } }: { file: DayFileView }) {
  const nobody = entries.filter(({ episodeIds }) => episodeIds.length === 0);
  const several = entries.filter(({ episodeIds }) => episodeIds.length > 1);
  const found = entries.length - nobody.length - several.length;
  return (
    <div role="status" className="text-sm" data-testid="file-words">
      <p className="font-medium">
        {entries.length === 0 ? t("today.none") : t("today.found", { found, entries: entries.length })}
      </p>
      {several.map(({ title, time }) => (
        <p key={`${title} ${time}`}>{t("today.several", { title })}</p>
      ))}
      {nobody.length > 0 && (
        <p>{t("today.nobodyNamed", { titles: nobody.map(({ title }) => `“${title}”`).join(", ") })}</p>
      )}
      {cut && <p>{t("today.cut")}</p>}
    </div>
  );
}
