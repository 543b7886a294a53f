import { useEffect, useRef } from "react";
import type { CaseloadRow } from "~/contract/clinic";
import OutcomeMark from "~/islands/frame/OutcomeMark";
import type { MessageKey } from "~/messages/en";
import { sayEvidence } from "~/messages/describe";
import { isKey, label, sayDate, t } from "~/messages/say";
import MiniStair from "./MiniStair";

interface Props {
  row: CaseloadRow;
  /** Beside a review: who and what, and no more. */
  narrow: boolean;
  /** The one under review. */
  current: boolean;
}

const wide = "md:grid-cols-[2rem_8rem_minmax(13rem,1fr)_minmax(13rem,1.35fr)_8.5rem_10rem]";

/** One person: what is needed and why, where they stand, how long ago. */
export default function CaseloadLine({ row, narrow, current }: Props) {
  const { person, attention } = row;
  const line = useRef<HTMLLIElement>(null);
  useEffect(() => {
    if (current) line.current?.scrollIntoView({ block: "nearest" });
  }, [current]);
  const auto = narrow ? "" : "md:col-start-auto";
  const side = row.involvedSide === "both" ? t("side.both") : t(`side.${row.involvedSide}`);
  return (
    <li ref={line}>
      <a
        href={`/episodes/${row.episodeId}`}
        className={`bg-base-100 hover:border-primary grid min-h-14 grid-cols-[2rem_1fr] items-center gap-x-4 gap-y-1 rounded-lg border px-4 py-2 ${current ? "border-primary border-2" : "border-base-300"} ${narrow ? "" : wide}`}
        aria-current={current ? "true" : undefined}
      >
        <OutcomeMark mark={attention} size={30} />
        <span className="text-lg font-semibold">{t(`attention.${attention}`)}</span>
        <span className={`col-start-2 ${auto}`}>
          <span className="block text-lg leading-tight font-semibold">
            {person.givenName} {person.familyName}
          </span>
          <span className={narrow ? "hidden" : "text-base-content/75 text-sm"}>
            {person.activity} · <strong className="font-semibold">{side}</strong> · {row.diagnosis}
          </span>
        </span>
        <span className={narrow ? "col-start-2 truncate text-sm" : `col-start-2 ${auto}`}>
          {sayReason(row)}
          {row.alsoWaiting > 0 && !narrow && (
            <span className="text-base-content/75 block text-sm">
              {t("caseload.more", { count: row.alsoWaiting })}
            </span>
          )}
        </span>
        {!narrow && (
          <>
            <span className={`col-start-2 flex items-center gap-2 ${auto} md:block`}>
              <MiniStair number={row.stageNumber} count={row.stageCount} />
              {row.stageCount > 0 && (
                <span className="text-sm">
                  {t("caseload.stage", {
                    number: row.stageNumber,
                    count: row.stageCount,
                    name: row.stageName,
                  })}
                </span>
              )}
            </span>
            <span className={`text-base-content/75 col-start-2 text-sm ${auto} md:text-right`}>
              {row.attention !== "unreadable" && <Since row={row} />}
            </span>
          </>
        )}
      </a>
    </li>
  );
}

function Since({ row: { daysSinceOnset, lastSessionOn } }: { row: CaseloadRow }) {
  return (
    <>
      <span className="text-base-content block">{t("caseload.day", { days: daysSinceOnset })}</span>
      {lastSessionOn ? t("caseload.last", { date: sayDate(lastSessionOn) }) : t("caseload.never")}
    </>
  );
}

function sayReason({ attention, reason }: CaseloadRow): string {
  const { exercise, rule } = reason;
  const date = reason.date ? sayDate(reason.date) : "";
  const special = `reason.${rule}`;
  const without: Partial<Record<typeof attention, MessageKey>> = {
    stop: "reason.stop-none",
    wait: "reason.wait-due",
  };
  const plain: MessageKey = `reason.${attention}`;
  const key = isKey(special) && exercise ? special : exercise ? plain : (without[attention] ?? plain);
  const because = reason.evidence ? sayEvidence(reason.evidence) : t("reason.nothing");
  return t(key, { exercise, date, why: label("rule", rule), because });
}
