import { CalendarClock, UserRound } from "lucide-react";
import { useCallback, useEffect, useRef, useState } from "react";
import { later } from "~/islands/frame/later";
import { attentionCodes } from "~/core/caseload/attention";
import type { CaseloadRow } from "~/contract/clinic";
import { call } from "~/islands/frame/call";
import OutcomeMark from "~/islands/frame/OutcomeMark";
import { t } from "~/messages/say";
import SearchBox from "~/islands/frame/SearchBox";
import CaseloadLine from "./CaseloadLine";
import FilterButton from "./FilterButton";
import { namedLike } from "./named-like";
import { island } from "~/islands/frame/island";

type Attention = CaseloadRow["attention"];

const TodayDialog = later(() => import("./TodayDialog"));
const ReviewPane = later(() => import("./ReviewPane"));

const renewEveryMs = 15_000;

interface Props {
  rows: CaseloadRow[];
  /** How many there are in all; `rows` may hold only the first. */
  count: number;
  counts: Partial<Record<Attention, number>>;
  /** Who looks at it. */
  you: string;
}

/** The clinic's people, those who need somebody first on top. Arrow keys move, Enter opens, a review goes one by one. */
function Caseload({ rows: first, count, counts: firstCounts, you }: Props) {
  const [rows, setRows] = useState(first);
  const [whole, setWhole] = useState(first.length === count);
  const [name, setName] = useState("");
  const [only, setOnly] = useState<Attention | null>(null);
  const [reviewing, setReviewing] = useState<{ at: number; ids: readonly string[] } | null>(null);
  const [mine, setMine] = useState(false);
  const [today, setToday] = useState(false);
  const [marking, setMarking] = useState(false);
  const expected = rows.filter((row) => row.expected !== null).length;
  const isChosen = (row: CaseloadRow) =>
    (!mine || row.heldBy?.id === you) && (!today || row.expected !== null);
  const held = rows.filter(isChosen);
  const counts = whole ? countBy(held) : firstCounts;
  const all = whole ? held.length : count;
  const shown = held.filter((row) => (only === null || row.attention === only) && namedLike(row, name));
  const named = name.trim() !== "";
  const present = attentionCodes.filter((code) => (counts[code] ?? 0) > 0);

  const renew = useCallback(async (by?: { unattended: boolean }) => {
    const answer = await call("listCaseload", {}, undefined, by);
    if (!answer.ok) return null;
    setRows(answer.value.rows);
    setWhole(true);
    return answer.value.rows;
  }, []);
  useEffect(() => {
    const timer = setInterval(
      () => void (document.hidden ? undefined : renew({ unattended: true })),
      renewEveryMs,
    );
    return () => clearInterval(timer);
  }, [renew]);

  const look = (text: string) => {
    setName(text);
    if (!whole) void renew();
  };
  /** Another part of the list, all of it; a review of the part before ends. */
  const narrow = (to: () => void) => {
    to();
    setReviewing(null);
    if (!whole) void renew();
  };
  const choose = (code: Attention | null) => narrow(() => setOnly(code));
  // A review goes through everybody of the kind chosen, also those the page did not begin with.
  const beginReview = async () => {
    const everybody = whole ? rows : ((await renew()) ?? rows);
    const chosen = everybody.filter((row) => (only === null || row.attention === only) && isChosen(row));
    setReviewing({ at: 0, ids: chosen.map((row) => row.episodeId) });
  };
  const mark = async () => {
    if (!whole) await renew();
    setMarking(true);
  };
  const closeReview = useCallback(() => {
    setReviewing(null);
    void renew();
  }, [renew]);
  const moveReview = useCallback((at: number) => setReviewing((now) => now && { ...now, at }), []);
  // The order of a review stays as it was begun, though people move in the list as they are answered.
  const reviewed = (reviewing?.ids ?? []).flatMap((id) => rows.find((row) => row.episodeId === id) ?? []);

  const list = useRef<HTMLUListElement>(null);
  const move = (event: React.KeyboardEvent<HTMLUListElement>) => {
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (step === undefined) return;
    event.preventDefault();
    const links = [...event.currentTarget.querySelectorAll<HTMLAnchorElement>("a")];
    const at = links.indexOf(document.activeElement as HTMLAnchorElement);
    links[Math.min(links.length - 1, Math.max(0, at + step))]?.focus();
  };

  return (
    <div className="mx-auto max-w-7xl px-4 py-3">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <h1 className="text-2xl font-bold">{t("caseload.title")}</h1>
        <p className="text-base-content/75">
          {t("caseload.count", { shown: named ? shown.length : only === null ? all : (counts[only] ?? 0) })}
        </p>
        <SearchBox
          label={t("caseload.find")}
          placeholder={t("caseload.find")}
          value={name}
          onChange={look}
          width="w-64 max-w-full max-sm:order-last max-sm:w-full"
          onInto={() => list.current?.querySelector("a")?.focus()}
        />
        <p className="text-base-content/70 ml-auto hidden text-sm xl:block">{t("caseload.openKey")}</p>
        {shown.length > 0 && !reviewing && (
          <button type="button" className="btn max-lg:ml-auto" onClick={() => void beginReview()}>
            {t("review.start")}
          </button>
        )}
        <a className="btn btn-primary" href="/intake">
          {t("intake.new")}
        </a>
      </div>
      <div
        className="mt-1 flex flex-wrap max-sm:-mx-4 max-sm:flex-nowrap max-sm:overflow-x-auto max-sm:px-4"
        role="group"
        aria-label={t("caseload.filter")}
      >
        <FilterButton pressed={only === null} count={all} onPress={() => choose(null)}>
          {t("caseload.all")}
        </FilterButton>
        <FilterButton pressed={mine} onPress={() => narrow(() => setMine(!mine))}>
          <UserRound className="size-4" aria-hidden />
          {t("caseload.mine")}
        </FilterButton>
        {expected > 0 && (
          <FilterButton pressed={today} count={expected} onPress={() => narrow(() => setToday(!today))}>
            {t("today.button")}
          </FilterButton>
        )}
        <button
          type="button"
          className="btn btn-ghost shrink-0 gap-1 px-2"
          aria-label={t("today.set")}
          title={t("today.set")}
          onClick={() => void mark()}
        >
          <CalendarClock className="size-5" aria-hidden />
          {expected === 0 && t("today.button")}
        </button>
        {present.map((code) => (
          <FilterButton
            key={code}
            pressed={only === code}
            count={counts[code]}
            onPress={() => choose(only === code ? null : code)}
          >
            <OutcomeMark mark={code} size={18} />
            {t(`attention.${code}`)}
          </FilterButton>
        ))}
      </div>
      <div className={reviewing ? "mt-2 grid items-start gap-3 lg:grid-cols-[22rem_1fr]" : "mt-2"}>
        {shown.length === 0 ? (
          <p className="mt-5">
            {rows.length === 0 ? t("caseload.none") : named ? t("caseload.nobody") : t("caseload.empty")}
          </p>
        ) : (
          <ul
            ref={list}
            className={`flex flex-col gap-1.5 max-md:gap-2 ${reviewing ? "max-lg:hidden" : ""}`}
            onKeyDown={move}
            data-testid="caseload"
          >
            {shown.map((row) => (
              <CaseloadLine
                key={row.episodeId}
                row={row}
                you={you}
                narrow={reviewing !== null}
                current={reviewed[reviewing?.at ?? -1]?.episodeId === row.episodeId}
              />
            ))}
            {!whole && (
              <li>
                <button type="button" className="btn w-full" onClick={() => void renew()}>
                  {t("caseload.showAll", { count })}
                </button>
              </li>
            )}
          </ul>
        )}
        {marking && (
          <TodayDialog
            rows={rows}
            onClose={() => {
              setMarking(false);
              void renew();
            }}
          />
        )}
        {reviewing && (
          <ReviewPane rows={reviewed} at={reviewing.at} onMove={moveReview} onClose={closeReview} />
        )}
      </div>
    </div>
  );
}

function countBy(rows: readonly CaseloadRow[]): Partial<Record<Attention, number>> {
  const counts: Partial<Record<Attention, number>> = {};
  for (const { attention } of rows) counts[attention] = (counts[attention] ?? 0) + 1;
  return counts;
}

export default island(Caseload);
