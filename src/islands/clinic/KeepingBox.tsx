import { useState } from "react";
import type { Problem } from "~/contract/problem";
import type { KeepingView } from "~/contract/trust";
import { call } from "~/islands/frame/call";
import ProblemNote from "~/islands/frame/ProblemNote";
import { sayLongDate, t } from "~/messages/say";

interface Props {
  /** Years a record is kept, as typed; empty where no time is set. */
  years: string;
  onYears: (years: string) => void;
}

/** How long records are kept, and whose is older: a look, which erases nothing. */
export default function KeepingBox({ years, onYears }: Props) {
  const [found, setFound] = useState<KeepingView | null>(null);
  const [problem, setProblem] = useState<Problem | null>(null);
  const look = async () => {
    const answer = await call("readKeeping", { years });
    setProblem(answer.ok ? null : answer.problem);
    setFound(answer.ok ? answer.value : null);
  };
  return (
    <section className="border-base-300 flex flex-col gap-2 border-t pt-3">
      <h2 className="text-lg font-semibold">{t("clinic.keeping")}</h2>
      <p className="text-sm">{t("clinic.keepingText")}</p>
      <div className="flex flex-wrap items-end gap-3">
        <label className="flex flex-col gap-1 font-medium">
          {t("clinic.keepYears")}
          <input
            className="input w-28"
            type="number"
            min={1}
            max={50}
            value={years}
            onChange={(event) => {
              onYears(event.target.value);
              setFound(null);
            }}
          />
        </label>
        <button type="button" className="btn" disabled={years === ""} onClick={() => void look()}>
          {t("clinic.keepLook")}
        </button>
      </div>
      <p className="text-base-content/75 text-sm">{t("clinic.keepYearsHelp")}</p>
      <ProblemNote problem={problem} />
      {found && (
        <div role="status" data-testid="keeping">
          <p className="font-medium">
            {found.count === 0
              ? t("clinic.keepNobody", { years: found.years })
              : t("clinic.keepSome", { count: found.count, years: found.years })}
          </p>
          <ul>
            {found.people.map(({ episodeId, person, endedAt }) => (
              <li key={episodeId}>
                <a className="link inline-flex min-h-11 items-center" href={`/episodes/${episodeId}/person`}>
                  {person.familyName}, {person.givenName}
                </a>{" "}
                {t("clinic.keepSince", { date: sayLongDate(endedAt.slice(0, 10)) })}
              </li>
            ))}
          </ul>
          {found.count > found.people.length && (
            <p className="text-sm">{t("clinic.keepMore", { shown: found.people.length })}</p>
          )}
        </div>
      )}
    </section>
  );
}
