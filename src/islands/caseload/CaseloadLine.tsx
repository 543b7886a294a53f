import { useEffect, useRef } from "react";
import type { CaseloadRow } from "~/contract/clinic";
import OutcomeMark from "~/islands/frame/OutcomeMark";
import type { MessageKey } from "~/messages/en";
import { sayEvidence } from "~/messages/say-evidence";
import { isKey, label, sayDate, t } from "~/messages/say";
import MiniStair from "./MiniStair";

interface Props {
  row: CaseloadRow;
  /** Who looks at it: only that somebody else has it is said. */
  you: string;
  /** Beside a review: who and what, and no more. */
  narrow: boolean;
  /** The one under review. */
  current: boolean;
}

/** Nine people stand on a tablet held across: two lines each, and what does not fit is read on a rest of the pointer. */
const wide = "md:grid-cols-[2rem_7rem_minmax(12rem,1fr)_minmax(14rem,1.6fr)_8.5rem_10rem]";

/** One person: what is needed and why, where they stand, how long ago. */
export default function CaseloadLine({ row, you, narrow, current }: Props) {
  const { person, attention, heldBy } = row;
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
        className={`bg-base-100 hover:border-primary grid min-h-13 grid-cols-[2rem_1fr] items-center gap-x-3 gap-y-1 rounded-lg border px-3 py-1 max-md:gap-y-0.5 ${current ? "border-primary border-2" : "border-base-300"} ${narrow ? "" : wide}`}
        aria-current={current ? "true" : undefined}
      >
        <OutcomeMark mark={attention} size={28} />
        <span className="leading-tight font-semibold">{t(`attention.${attention}`)}</span>
        <span className={`col-start-2 min-w-0 ${auto}`}>
          <span className="block leading-tight font-semibold">
            {person.givenName} {person.familyName}
            {row.expected && (
              <span className="badge badge-info badge-sm ml-2 align-middle">
                {row.expected.time ?? t("today.chip")}
              </span>
            )}
          </span>
          <span
            className={narrow ? "hidden" : "text-base-content/75 block truncate text-sm leading-snug"}
            title={`${row.diagnosis} · ${person.activity}`}
          >
            <strong className="font-semibold">{side}</strong> · {row.diagnosis} · {person.activity}
            {heldBy && heldBy.id !== you && ` · ${t("caseload.with", { name: heldBy.name })}`}
          </span>
        </span>
        <span
          className={`col-start-2 text-sm leading-snug ${narrow ? "truncate" : `line-clamp-2 ${auto}`}`}
          title={sayReason(row)}
        >
          {row.alsoWaiting > 0 && !narrow && (
            <span className="badge badge-sm badge-neutral mr-1">
              {t("caseload.more", { count: row.alsoWaiting })}
            </span>
          )}
          {sayReason(row)}
        </span>
        {!narrow && (
          <>
            <span className={`col-start-2 flex items-center gap-2 ${auto} md:block`}>
              <MiniStair number={row.stageNumber} count={row.stageCount} />
              {row.stageCount > 0 && (
                <span className="block text-sm leading-snug md:truncate" title={row.stageName}>
                  {t("caseload.stage", {
                    number: row.stageNumber,
                    count: row.stageCount,
                    name: row.stageName,
                  })}
                </span>
              )}
            </span>
            <span className={`text-base-content/75 col-start-2 text-sm leading-snug ${auto} md:text-right`}>
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
      <span className="text-base-content mr-2 md:mr-0 md:block">
        {t("caseload.day", { days: daysSinceOnset })}
      </span>
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
