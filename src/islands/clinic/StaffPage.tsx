import { useState } from "react";
import type { Colleague, PasswordLink, StaffView } from "~/contract/staff";
import type { Problem } from "~/contract/problem";
import { call } from "~/islands/frame/call";
import { island } from "~/islands/frame/island";
import ProblemNote from "~/islands/frame/ProblemNote";
import { hasWord } from "~/messages/words";
import { label, sayTime, t } from "~/messages/say";
import AddColleague from "./AddColleague";
import ChangeColleague from "./ChangeColleague";
import LinkDialog from "./LinkDialog";

/** Who works in the clinic: added, changed, deactivated, and helped to a password, by a lead. */
function StaffPage({ view: loaded, zone }: { view: StaffView; zone: string }) {
  const [view, setView] = useState(loaded);
  const [changing, setChanging] = useState<string | null>(null);
  const [link, setLink] = useState<{ who: Colleague; made: PasswordLink } | null>(null);
  const [problem, setProblem] = useState<Problem | null>(null);
  const [notice, setNotice] = useState("");

  const makeLink = async (who: Colleague) => {
    const answer = await call("makePasswordLink", {}, { staffId: who.id });
    setProblem(answer.ok ? null : answer.problem);
    if (answer.ok) setLink({ who, made: answer.value });
  };
  const renewed = (staff: StaffView, said: string) => {
    setView(staff);
    setChanging(null);
    setNotice(said);
  };

  return (
    <div className="mx-auto max-w-5xl px-4 py-4">
      <h1 className="text-2xl font-bold">{t("clinic.staff")}</h1>
      <p role="status" className="text-success min-h-6 font-medium">
        {notice}
      </p>
      <ProblemNote problem={problem} />
      <ul className="flex flex-col gap-2" data-testid="colleagues">
        {view.colleagues.map((one) => (
          <li
            key={one.id}
            className={`bg-base-100 border-base-300 rounded-box border px-3 py-2 ${one.active ? "" : "opacity-80"}`}
          >
            <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
              <div className="min-w-0 grow">
                <p className="font-semibold">
                  {one.name}
                  {one.id === view.you && <span className="font-normal"> ({t("staff.you")})</span>}
                </p>
                <p className="text-base-content/80 text-sm break-words">
                  {t(`role.${one.role}`)} · {one.email} ·{" "}
                  {one.lastSeenAt
                    ? t("staff.seen", { time: sayTime(one.lastSeenAt, zone) })
                    : t("staff.notSeen")}
                </p>
              </div>
              {!one.active && <span className="badge badge-neutral">{t("staff.inactive")}</span>}
              {one.active && !one.hasPassword && (
                <span className="badge badge-warning">{t("staff.noPassword")}</span>
              )}
              {one.secondFactor && <span className="badge badge-success">{t("staff.secondFactor")}</span>}
              <div className="flex flex-wrap gap-2">
                {one.active && (
                  <button type="button" className="btn" onClick={() => void makeLink(one)}>
                    {t("staff.link")}
                  </button>
                )}
                <button
                  type="button"
                  className="btn"
                  aria-expanded={changing === one.id}
                  onClick={() => setChanging(changing === one.id ? null : one.id)}
                >
                  {t("staff.change")}
                </button>
              </div>
            </div>
            {changing === one.id && (
              <ChangeColleague
                who={one}
                onDone={(staff) => renewed(staff, t("staff.changed"))}
                onCancel={() => setChanging(null)}
              />
            )}
          </li>
        ))}
      </ul>
      <AddColleague onAdded={(staff, name) => renewed(staff, t("staff.added", { name }))} />
      {view.changes.length > 0 && (
        <section className="mt-4" data-testid="staff-changes">
          <h2 className="text-lg font-semibold">{t("staff.changes")}</h2>
          <ul>
            {view.changes.map(({ at, by, who, kind, before, after, reason }) => (
              <li key={`${at} ${who} ${kind}`} className="border-base-300 border-t py-1 text-sm">
                <span className="font-medium">
                  {t("staff.line", {
                    who,
                    kind: hasWord(`staff.kind.${kind}`) ? label("staff.kind", kind) : kind,
                  })}
                </span>{" "}
                {before !== null && after !== null && t("staff.from", { before, after })}{" "}
                {reason && `“${reason}”`} · {by}, {sayTime(at, zone)}
              </li>
            ))}
          </ul>
        </section>
      )}
      {link && <LinkDialog name={link.who.name} made={link.made} zone={zone} onClose={() => setLink(null)} />}
    </div>
  );
}

export default island(StaffPage);
