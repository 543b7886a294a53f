import { DndContext, PointerSensor, useSensor, useSensors, type DragEndEvent } from "@dnd-kit/core";
import { ChevronLeft, ChevronRight, Printer, Undo2 } from "lucide-react";
import { useMemo, useState } from "react";
import type { Problem } from "~/contract/problem";
import type { WeekView } from "~/contract/week";
import { addDays } from "~/core/schedule/local-day";
import { beforeTraining } from "~/core/week/before-training";
import { dayOrder } from "~/core/week/day-order";
import type { Placed, WeekItem } from "~/core/week/week";
import { island } from "~/islands/frame/island";
import ProblemNote from "~/islands/frame/ProblemNote";
import { useWrite } from "~/islands/frame/use-write";
import { sayWeekWords } from "~/messages/say-week";
import { sayDate, sayLongDate, sayTime, t } from "~/messages/say";
import { later } from "~/islands/frame/later";
import { useKneecap } from "~/islands/lab/use-kneecap";
import { planRest } from "./plan-rest";
import SelectedCard from "./SelectedCard";
import {
  asLastWeek,
  daySet,
  draftOfWeek,
  isLocked,
  isPair,
  judged,
  lockTurned,
  movedTo,
  solvedTo,
  takenOff,
  type WeekDraft,
} from "./week-draft";
import WeekDayColumn from "./WeekDayColumn";
import WeekPrint from "./WeekPrint";
import WeekVerdict from "./WeekVerdict";

const WeeksAhead = later(() => import("./WeeksAhead"));

const asWeighed = ({ itemId, exerciseId, drawnLike, prescription }: WeekView["pieces"][number]) => ({
  itemId,
  prescription,
  exercise: { id: exerciseId, drawnLike: drawnLike ?? undefined },
});

/** The week of a patient: laid out by the planner, moved about by hand, judged at once, kept. */
function WeekPage({ week: loaded }: { week: WeekView }) {
  const [week, setWeek] = useState(loaded);
  const [draft, setDraft] = useState<WeekDraft>(() => draftOfWeek(loaded));
  const [past, setPast] = useState<readonly WeekDraft[]>([]);
  const [selected, setSelected] = useState<Placed | { item: string; date: null } | null>(null);
  const [solving, setSolving] = useState(false);
  const [clash, setClash] = useState<readonly string[]>([]);
  const [problem, setProblem] = useState<Problem | null>(null);
  const write = useWrite("keepWeek", { id: week.episodeId });
  const { question, pieces, today } = week;
  const verdict = useMemo(() => judged(week, draft), [week, draft]);
  const weighed = useMemo(() => pieces.map(asWeighed), [pieces]);
  const kneecap = useKneecap(week.body, weighed);
  const kneecapOn = (date: string) =>
    draft.placed.reduce((sum, one) => sum + (one.date === date ? (kneecap.get(one.item) ?? 0) : 0), 0);
  const mostKneecap = Math.max(...draft.days.map(({ date }) => kneecapOn(date)));
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const say = (words: string) => sayWeekWords(words, pieces);
  const done = question.done ?? [];
  const itemOf = (id: string) => question.items.find((item) => item.id === id) as WeekItem;
  const isKept = week.kept !== null && past.length === 0;

  const change = (next: WeekDraft) => {
    if (next === draft) return;
    setPast((before) => [...before, draft]);
    setDraft(next);
    setClash([]);
    write.setProblem(null);
  };
  const byHand = (next: WeekDraft) => change(next === draft ? draft : { ...next, optimal: null });
  const dropped = ({ active, over }: DragEndEvent) => {
    const [item = "", date = ""] = String(active.id).split(" ");
    if (over) byHand(movedTo(draft, item, date, String(over.id)));
  };
  const solve = async () => {
    setSolving(true);
    const answer = await planRest(week, draft);
    setSolving(false);
    if ("problem" in answer) return setProblem(answer.problem);
    setProblem(null);
    if ("conflict" in answer) return setClash(answer.conflict.map(({ words }) => say(words)));
    change(solvedTo(draft, answer, today));
  };
  const keep = async () => {
    const { days, placed, locks } = draft;
    const body = { startsOn: week.startsOn, days: [...days], placed: [...placed], locks: [...locks] };
    const written = await write.send(body, JSON.stringify(body));
    if (!written) return;
    setWeek(written.week);
    setDraft(draftOfWeek(written.week));
    setPast([]);
  };
  const status = isKept
    ? t("week.kept", { time: sayTime(week.kept?.at ?? "", week.zone), by: week.kept?.by ?? "" })
    : draft.optimal === null
      ? t("week.changed")
      : t(draft.optimal ? "week.proven" : "week.notProven");
  const missed =
    week.kept === null
      ? []
      : draft.placed.filter((one) => one.date < today && !done.some((other) => isPair(one, other)));
  const nameOf = (id: string) => pieces.find(({ itemId }) => itemId === id)?.name ?? "";

  return (
    <div className="mx-auto max-w-7xl px-4 py-3 print:p-0">
      <div className="flex flex-col gap-3 print:hidden">
        <div className="flex flex-wrap items-center gap-2">
          <a
            className="btn btn-square btn-ghost"
            href={`?from=${addDays(week.startsOn, -7)}`}
            aria-label={t("week.before")}
          >
            <ChevronLeft className="size-5" aria-hidden />
          </a>
          <h2 className="text-lg font-semibold">{t("week.of", { date: sayLongDate(week.startsOn) })}</h2>
          <a
            className="btn btn-square btn-ghost"
            href={`?from=${addDays(week.startsOn, 7)}`}
            aria-label={t("week.after")}
          >
            <ChevronRight className="size-5" aria-hidden />
          </a>
          <p className="text-base-content/80 min-w-40 flex-1 text-sm" role="status" data-testid="week-status">
            {status} {!isKept && t("week.notKept")}
          </p>
          {week.mayKeep && (
            <>
              <button
                type="button"
                className="btn"
                disabled={past.length === 0}
                onClick={() => {
                  setDraft(past.at(-1) ?? draft);
                  setPast(past.slice(0, -1));
                }}
              >
                <Undo2 className="size-4" aria-hidden />
                {t("week.undo")}
              </button>
              {question.previous && (
                <button type="button" className="btn" onClick={() => byHand(asLastWeek(week, draft))}>
                  {t("week.copy")}
                </button>
              )}
              <button
                type="button"
                className="btn"
                title={t("week.solveHelp")}
                disabled={solving}
                onClick={() => void solve()}
              >
                {t(solving ? "week.solving" : "week.solve")}
              </button>
              <button
                type="button"
                className="btn btn-primary"
                disabled={write.busy || isKept}
                onClick={() => void keep()}
              >
                {t("week.keep")}
              </button>
            </>
          )}
          <button type="button" className="btn" onClick={() => print()}>
            <Printer className="size-4" aria-hidden />
            {t("week.print")}
          </button>
          <a className="btn" href={`/episodes/${week.episodeId}/handout`}>
            {t("handout.show")}
          </a>
        </div>
        <ProblemNote problem={write.problem ?? problem} sayPath={() => ""} />
        {missed.length > 0 && (
          <div
            role="status"
            className="alert alert-warning alert-soft text-base-content"
            data-testid="missed"
          >
            <p>
              {t("week.missed", {
                days: [...new Set(missed.map(({ date }) => sayDate(date)))].join(", "),
                count: missed.length,
              })}
            </p>
            {week.mayKeep && (
              <button type="button" className="btn" disabled={solving} onClick={() => void solve()}>
                {t("week.missedSolve")}
              </button>
            )}
          </div>
        )}
        {clash.length > 0 && (
          <div role="alert" className="alert alert-error alert-soft text-base-content items-start">
            <div>
              <p className="font-semibold">{t("week.clash")}</p>
              <ul className="list-disc pl-5">
                {clash.map((words, n) => (
                  <li key={n}>{words}</li>
                ))}
              </ul>
            </div>
          </div>
        )}
        {selected && week.mayKeep && (
          <SelectedCard
            key={`${selected.item} ${selected.date}`}
            name={nameOf(selected.item)}
            date={selected.date}
            days={draft.days
              .map(({ date }) => date)
              .filter(
                (date) =>
                  date >= today && !draft.placed.some((one) => isPair(one, { item: selected.item, date })),
              )}
            locked={selected.date !== null && isLocked(draft, selected)}
            fixed={
              selected.date !== null && (selected.date < today || done.some((one) => isPair(one, selected)))
            }
            onMove={(to) => {
              byHand(movedTo(draft, selected.item, selected.date, to));
              setSelected({ item: selected.item, date: to });
            }}
            onLock={() => selected.date !== null && byHand(lockTurned(draft, selected))}
            onOff={() => {
              if (selected.date !== null) byHand(takenOff(draft, selected));
              setSelected(null);
            }}
            onClose={() => setSelected(null)}
          />
        )}
        <DndContext sensors={sensors} onDragEnd={dropped}>
          <div className="grid gap-1.5 sm:grid-cols-2 md:grid-cols-4 xl:grid-cols-7" data-testid="week-grid">
            {draft.days.map((day) => {
              const here = draft.placed.filter(({ date }) => date === day.date);
              const ordered = dayOrder(here.map(({ item }) => itemOf(item)));
              const before = beforeTraining(ordered).map(({ id }) => id);
              return (
                <WeekDayColumn
                  key={day.date}
                  day={day}
                  isPast={day.date < today}
                  isToday={day.date === today}
                  isBroken={verdict.hard.some(({ rule, date }) => rule === "minutes" && date === day.date)}
                  kneecap={mostKneecap > 0 ? { sessionMPaS: kneecapOn(day.date), most: mostKneecap } : null}
                  contacts={ordered.reduce((sum, { spring }) => sum + (spring?.contacts ?? 0), 0)}
                  cards={ordered.flatMap(({ id, minutes }) => {
                    const piece = pieces.find(({ itemId }) => itemId === id);
                    const pair = { item: id, date: day.date };
                    return piece
                      ? [
                          {
                            piece,
                            minutes,
                            locked: isLocked(draft, pair),
                            afterTraining: !before.includes(id),
                            done: done.some((one) => isPair(one, pair)),
                            broken: verdict.hard.some(({ item, date }) => item === id && date === day.date),
                          },
                        ]
                      : [];
                  })}
                  selected={selected !== null && selected.date !== null ? selected : null}
                  heightM={week.heightM}
                  side={week.involvedSide}
                  mayChange={week.mayKeep}
                  onDay={(part) => byHand(daySet(draft, day.date, part))}
                  onSelect={setSelected}
                />
              );
            })}
          </div>
        </DndContext>
        <WeekVerdict
          verdict={verdict}
          draft={draft}
          items={question.items}
          pieces={pieces}
          onPick={(item) => setSelected({ item, date: null })}
        />
        <WeeksAhead ahead={week.ahead} pieces={pieces} />
      </div>
      <WeekPrint week={week} draft={draft} />
    </div>
  );
}

export default island(WeekPage);
