import { useState } from "react";
import { attentionCodes, type CaseloadRow } from "~/core/interchange/contract";
import OutcomeMark from "~/islands/frame/OutcomeMark";
import { t } from "~/messages/say";
import CaseloadLine from "./CaseloadLine";

type Attention = CaseloadRow["attention"];

/** The clinic's people, those who need somebody first on top. Arrow keys move, Enter opens. */
export default function Caseload({ rows }: { rows: CaseloadRow[] }) {
  const [only, setOnly] = useState<Attention | null>(null);
  const shown = rows.filter((row) => only === null || row.attention === only);
  const present = attentionCodes.filter((code) => rows.some((row) => row.attention === code));

  const move = (event: React.KeyboardEvent<HTMLUListElement>) => {
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (step === undefined) return;
    event.preventDefault();
    const links = [...event.currentTarget.querySelectorAll<HTMLAnchorElement>("a")];
    const at = links.indexOf(document.activeElement as HTMLAnchorElement);
    links[Math.min(links.length - 1, Math.max(0, at + step))]?.focus();
  };

  return (
    <div className="mx-auto max-w-7xl px-4 py-5">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h1 className="text-2xl font-bold">{t("caseload.title")}</h1>
        <p className="text-base-content/75">{t("caseload.count", { shown: shown.length })}</p>
        <p className="text-base-content/70 ml-auto hidden text-sm md:block">{t("caseload.openKey")}</p>
        <a className="btn btn-primary max-md:ml-auto" href="/intake">
          {t("intake.new")}
        </a>
      </div>
      <div className="mt-3 flex flex-wrap gap-2" role="group" aria-label={t("caseload.filter")}>
        <button type="button" className="btn" aria-pressed={only === null} onClick={() => setOnly(null)}>
          {t("caseload.all")} <span className="badge badge-neutral badge-sm">{rows.length}</span>
        </button>
        {present.map((code) => (
          <button
            key={code}
            type="button"
            className={`btn ${only === code ? "btn-active" : ""}`}
            aria-pressed={only === code}
            onClick={() => setOnly(only === code ? null : code)}
          >
            <OutcomeMark mark={code} size={18} />
            {t(`attention.${code}`)}
            <span className="badge badge-neutral badge-sm">
              {rows.filter((r) => r.attention === code).length}
            </span>
          </button>
        ))}
      </div>
      {shown.length === 0 ? (
        <p className="mt-8">{rows.length === 0 ? t("caseload.none") : t("caseload.empty")}</p>
      ) : (
        <ul className="mt-4 flex flex-col gap-2" onKeyDown={move} data-testid="caseload">
          {shown.map((row) => (
            <CaseloadLine key={row.episodeId} row={row} />
          ))}
        </ul>
      )}
    </div>
  );
}
