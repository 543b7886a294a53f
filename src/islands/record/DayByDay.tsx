import { ChevronLeft, ChevronRight } from "lucide-react";
import { useEffect, useState } from "react";
import type { Problem } from "~/contract/problem";
import type { RecordView } from "~/contract/record";
import type { DayByDay as Days, ReviewedDay } from "~/core/review/day-by-day";
import { call } from "~/islands/frame/call";
import ProblemNote from "~/islands/frame/ProblemNote";
import { label, sayDate, sayQuantity, t } from "~/messages/say";
import ReviewedItems from "./ReviewedItems";

/** The episode read again, one day at a time: what was known, what was proposed and signed, and what came of it. */
export default function DayByDay({ record }: { record: RecordView }) {
  const [read, setRead] = useState<Days | null>(null);
  const [chosen, setChosen] = useState<string | null>(null);
  const [problem, setProblem] = useState<Problem | null>(null);
  const day = read?.days.find(({ date }) => date === chosen) ?? null;

  useEffect(() => {
    let current = true;
    if (read && (chosen === null || day)) return;
    const query = chosen === null ? {} : { from: chosen };
    void call("readDays", { id: record.episodeId, ...query }).then((answer) => {
      if (!current) return;
      setProblem(answer.ok ? null : answer.problem);
      if (!answer.ok) return;
      setRead(answer.value);
      setChosen((before) => before ?? answer.value.days.at(-1)?.date ?? null);
    });
    return () => {
      current = false;
    };
  }, [record.episodeId, chosen, day, read]);

  if (problem) return <ProblemNote problem={problem} />;
  if (!read) return <p className="mt-3">{t("days.loading")}</p>;
  if (read.dates.length === 0) return <p className="mt-3">{t("days.none")}</p>;
  const at = read.dates.indexOf(chosen ?? "");
  const [before, after] = [read.dates[at - 1], read.dates[at + 1]];
  return (
    <section className="mt-3" data-testid="days" aria-label={t("record.days")}>
      <div className="flex flex-wrap items-center gap-2">
        <Step to={before} onGo={setChosen} label={t("days.before")}>
          <ChevronLeft className="size-5" aria-hidden />
        </Step>
        <label className="flex items-center gap-2 font-medium">
          <span className="sr-only">{t("schools.day")}</span>
          <select
            className="select w-48"
            value={chosen ?? ""}
            onChange={(event) => setChosen(event.target.value)}
          >
            {read.dates.map((date) => (
              <option key={date} value={date}>
                {sayDate(date)}
              </option>
            ))}
          </select>
        </label>
        <Step to={after} onGo={setChosen} label={t("days.after")}>
          <ChevronRight className="size-5" aria-hidden />
        </Step>
        <p className="text-base-content/75 text-sm">
          {t("days.place", { at: at + 1, all: read.dates.length })}
        </p>
      </div>
      {day ? (
        <>
          <Known day={day} />
          <ReviewedItems day={day} record={record} />
        </>
      ) : (
        <p className="mt-3">{t("days.loading")}</p>
      )}
    </section>
  );
}

interface StepProps {
  to: string | undefined;
  label: string;
  onGo: (date: string) => void;
  children: React.ReactNode;
}

function Step({ to, label: says, onGo, children }: StepProps) {
  return (
    <button
      type="button"
      className="btn btn-square"
      aria-label={says}
      disabled={to === undefined}
      onClick={() => to !== undefined && onGo(to)}
    >
      {children}
    </button>
  );
}

/** What came into the record on that date. */
function Known({ day }: { day: ReviewedDay }) {
  const measured = day.results.map(({ name, side, value, unit }) =>
    [name, side === "none" ? "" : label("side", side), sayQuantity(value, unit)].filter(Boolean).join(" "),
  );
  const told = [
    ...(day.sessions > 0 ? [t("days.sessions", { count: day.sessions })] : []),
    ...day.reports.map(({ trainingDate, pain }) => t("days.report", { date: sayDate(trainingDate), pain })),
    ...(measured.length > 0 ? [t("days.measured", { list: measured.join(", ") })] : []),
    ...day.signals.map((code) => label("signal", code)),
    ...day.events.map((kind) => label("event", kind)),
  ];
  return (
    <p className="bg-base-100 border-base-300 rounded-box mt-3 border p-3">
      <strong>{t("days.known")}</strong> {told.length > 0 ? told.join(" · ") : t("days.nothing")}
    </p>
  );
}
