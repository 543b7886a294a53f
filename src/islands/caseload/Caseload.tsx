import { CalendarClock, UserRound } from "lucide-react";
import { useCallback, useRef, useState } from "react";
import { later } from "~/islands/frame/later";
import { attentionCodes } from "~/core/caseload/attention";
import type { CaseloadPage, CaseloadRow } from "~/contract/clinic";
import OutcomeMark from "~/islands/frame/OutcomeMark";
import { t } from "~/messages/say";
import SearchBox from "~/islands/frame/SearchBox";
import CaseloadLine from "./CaseloadLine";
import { countedOf, inFigures } from "./counted";
import FilterButton from "./FilterButton";
import { namedLike } from "./named-like";
import { island } from "~/islands/frame/island";
import { useCaseload, type Asked } from "./use-caseload";

type Attention = CaseloadRow["attention"];

const TodayDialog = later(() => import("./TodayDialog"));
const ReviewPane = later(() => import("./ReviewPane"));

/** A review reads on before it comes to the end of what was read. */
const readOnBefore = 3;

interface Props {
  page: CaseloadPage;
  /** Who looks at it. */
  you: string;
}

/** The clinic's people, those who need somebody first on top. Arrow keys move, Enter opens, a review goes one by one. */
function Caseload({ page, you }: Props) {
  const { read, asked, ask, more, renew } = useCaseload(page);
  const { rows, counts, expected, next } = read;
  const { only = null, name = "" } = asked;
  const [reviewing, setReviewing] = useState<{ at: number; ids: readonly string[] } | null>(null);
  const [marking, setMarking] = useState(false);
  const mine = asked.held !== undefined;
  const today = asked.today !== undefined;
  const named = name.trim() !== "";
  // Until what was asked for has come, what stands here is looked through.
  const shown = rows.filter(
    (row) =>
      (only === null || row.attention === only) &&
      (!mine || row.heldBy?.id === you) &&
      (!today || row.expected !== null) &&
      namedLike(row, name),
  );
  const present = attentionCodes.filter((code) => (counts[code] ?? 0) > 0);
  const all = countedOf(read, only);
  const stated = named || today ? { count: shown.length, orMore: false } : all;

  /** Another part of the list; a review of the part before ends. */
  const narrow = (to: Asked) => {
    ask({ ...asked, ...to });
    setReviewing(null);
  };
  const look = (text: string) => ask({ ...asked, name: text.trim() === "" ? undefined : text });
  const choose = (code: Attention | null) => narrow({ only: code ?? undefined });
  const beginReview = () => setReviewing({ at: 0, ids: shown.map((row) => row.episodeId) });
  const closeReview = useCallback(() => {
    setReviewing(null);
    void renew();
  }, [renew]);
  const moveReview = useCallback(
    (at: number) => {
      setReviewing((now) => now && { ...now, at });
      const ids = reviewing?.ids ?? [];
      if (at < ids.length - readOnBefore) return;
      // Those who come next are read before their turn; nobody is left out of a review.
      void more().then((everybody) =>
        setReviewing((now) => {
          if (!now) return now;
          const known = new Set(now.ids);
          const news = everybody.map((row) => row.episodeId).filter((id) => !known.has(id));
          return { ...now, ids: [...now.ids, ...news] };
        }),
      );
    },
    [reviewing, more],
  );
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
          {t(stated.orMore ? "caseload.countOrMore" : "caseload.count", { shown: stated.count })}
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
          <button type="button" className="btn max-lg:ml-auto" onClick={beginReview}>
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
        <FilterButton
          pressed={only === null}
          count={inFigures(countedOf(read, null))}
          onPress={() => choose(null)}
        >
          {t("caseload.all")}
        </FilterButton>
        <FilterButton pressed={mine} onPress={() => narrow({ held: mine ? undefined : "mine" })}>
          <UserRound className="size-4" aria-hidden />
          {t("caseload.mine")}
        </FilterButton>
        {expected > 0 && (
          <FilterButton
            pressed={today}
            count={expected}
            onPress={() => narrow({ today: today ? undefined : "yes" })}
          >
            {t("today.button")}
          </FilterButton>
        )}
        <button
          type="button"
          className="btn btn-ghost shrink-0 gap-1 px-2"
          aria-label={t("today.set")}
          title={t("today.set")}
          onClick={() => setMarking(true)}
        >
          <CalendarClock className="size-5" aria-hidden />
          {expected === 0 && t("today.button")}
        </button>
        {present.map((code) => (
          <FilterButton
            key={code}
            pressed={only === code}
            count={inFigures(countedOf(read, code))}
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
            {next !== null && (
              <li>
                <button type="button" className="btn w-full" onClick={() => void more()}>
                  {t("caseload.showMore", { shown: shown.length, all: inFigures(all) })}
                </button>
              </li>
            )}
          </ul>
        )}
        {marking && (
          <TodayDialog
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

export default island(Caseload);
