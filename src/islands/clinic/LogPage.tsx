import { useState } from "react";
import type { AuditView } from "~/contract/trust";
import type { Problem } from "~/contract/problem";
import { call } from "~/islands/frame/call";
import { saveFile } from "~/islands/frame/save-file";
import { island } from "~/islands/frame/island";
import ProblemNote from "~/islands/frame/ProblemNote";
import { logTable } from "./log-table";
import { sayAct } from "~/messages/say-act";
import { sayTime, t } from "~/messages/say";

/** Who read and changed what, newest first, a page at a time. */
function LogPage({ view: loaded, episode }: { view: AuditView; episode: string | null }) {
  const [view, setView] = useState(loaded);
  const [who, setWho] = useState("");
  const [problem, setProblem] = useState<Problem | null>(null);

  const read = (wanted: string, after: string | null) =>
    call("readAudit", {
      ...(wanted === "" ? {} : { who: wanted }),
      ...(episode === null ? {} : { episode }),
      ...(after === null ? {} : { after }),
    });
  const choose = async (wanted: string) => {
    setWho(wanted);
    const answer = await read(wanted, null);
    setProblem(answer.ok ? null : answer.problem);
    if (answer.ok) setView(answer.value);
  };
  const older = async () => {
    const answer = await read(who, view.next);
    setProblem(answer.ok ? null : answer.problem);
    if (answer.ok) setView({ ...answer.value, lines: [...view.lines, ...answer.value.lines] });
  };
  /** Everything that is asked for, page by page, as one table. */
  const save = async () => {
    const lines = [...view.lines];
    for (let next = view.next; next !== null;) {
      const answer = await read(who, next);
      if (!answer.ok) return setProblem(answer.problem);
      lines.push(...answer.value.lines);
      next = answer.value.next;
    }
    saveFile(new Blob([logTable(lines)], { type: "text/csv" }), "log.csv");
  };

  return (
    <div className="mx-auto max-w-5xl px-4 py-4">
      <h1 className="text-2xl font-bold">{t("log.title")}</h1>
      {view.person !== null && (
        <p className="mt-1">
          {t("log.of", { person: view.person })}{" "}
          <a className="link inline-flex min-h-11 items-center" href="/clinic/log">
            {t("log.all")}
          </a>
        </p>
      )}
      <ProblemNote problem={problem} />
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <label className="flex flex-col gap-1 text-sm font-medium">
          {t("log.who")}
          <select className="select w-64" value={who} onChange={(event) => void choose(event.target.value)}>
            <option value="">{t("log.anybody")}</option>
            {view.colleagues.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </label>
        <button type="button" className="btn ml-auto" onClick={() => void save()}>
          {t("log.save")}
        </button>
      </div>
      <div className="bg-base-100 border-base-300 rounded-box mt-3 overflow-x-auto border" tabIndex={0}>
        <table className="table max-sm:[&_td]:px-2 max-sm:[&_th]:px-2" data-testid="log">
          <thead className="text-base-content">
            <tr>
              <th>{t("log.when")}</th>
              <th>{t("log.by")}</th>
              <th>{t("log.did")}</th>
              <th>{t("log.about")}</th>
              <th className="max-sm:hidden">{t("log.from")}</th>
            </tr>
          </thead>
          <tbody>
            {view.lines.map(({ id, at, by, action, episodeId, person, address, outcome }) => (
              <tr key={id}>
                <td className="sm:whitespace-nowrap">{sayTime(at, view.zone)}</td>
                <td>{by}</td>
                <td>
                  {sayAct(action)}
                  {outcome !== "done" && (
                    <strong className="text-warning ml-1">{t(`log.outcome.${outcome}`)}</strong>
                  )}
                </td>
                <td>
                  {person !== null && episodeId !== null ? (
                    <a className="link" href={`/episodes/${episodeId}`}>
                      {person}
                    </a>
                  ) : (
                    <span className="text-base-content/70">{t("log.nobody")}</span>
                  )}
                </td>
                <td className="text-sm max-sm:hidden">{address ?? "–"}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {view.lines.length === 0 && <p className="mt-3">{t("log.empty")}</p>}
      {view.next === null ? (
        <p className="text-base-content/75 mt-3 text-sm">{t("log.end")}</p>
      ) : (
        <button type="button" className="btn mt-3" onClick={() => void older()}>
          {t("log.older")}
        </button>
      )}
    </div>
  );
}

export default island(LogPage);
