import { CalendarDays, Copy } from "lucide-react";
import { useState } from "react";
import type { PhonesView } from "~/contract/phones";
import type { Problem } from "~/contract/problem";
import { urlOf } from "~/contract/addresses";
import { call } from "~/islands/frame/call";
import ProblemNote from "~/islands/frame/ProblemNote";
import { sayTime, t } from "~/messages/say";

interface Props {
  view: PhonesView;
  onChange: (view: PhonesView) => void;
}

/** The patient's days for their own calendar: once as a file, or by an address that it reads by itself. */
export default function CalendarCard({ view, onChange }: Props) {
  const { episodeId: id, zone, feed, laidDays, mayRecord } = view;
  const [time, setTime] = useState(feed?.time ?? "");
  const [address, setAddress] = useState<string | null>(null);
  const [copied, setCopied] = useState(false);
  const [problem, setProblem] = useState<Problem | null>(null);
  const make = async () => {
    const answer = await call("makeFeed", { id }, { at: time || null });
    setProblem(answer.ok ? null : answer.problem);
    if (!answer.ok) return;
    setAddress(answer.value.address);
    setCopied(false);
    onChange(answer.value.phones);
  };
  const end = async () => {
    const answer = await call("endFeed", { id }, {});
    setProblem(answer.ok ? null : answer.problem);
    if (!answer.ok) return;
    setAddress(null);
    onChange(answer.value);
  };
  return (
    <section
      className="bg-base-100 border-base-300 rounded-box flex flex-col gap-2 border p-4"
      data-testid="calendar"
    >
      <h2 className="text-lg font-semibold">{t("phones.calendar")}</h2>
      <p>{t("phones.calendarSays")}</p>
      <p className="font-medium">
        {t("phones.calendarDays", { days: laidDays })}{" "}
        {laidDays === 0 && (
          <a className="link" href={`/episodes/${id}/week`}>
            {t("phones.calendarWeek")}
          </a>
        )}
      </p>
      <ProblemNote problem={problem} />
      <label className="flex flex-wrap items-center gap-2">
        {t("phones.calendarTime")}
        <input
          type="time"
          className="input min-h-11 w-32"
          value={time}
          onChange={(event) => setTime(event.target.value)}
        />
        <span className="text-base-content/75 text-sm">{t("phones.calendarAllDay")}</span>
      </label>
      {address && (
        <div className="border-base-300 rounded border p-2" role="status">
          <code className="block text-sm break-all" data-testid="feed-address">
            {address}
          </code>
          <button
            type="button"
            className="btn mt-1"
            onClick={() => void navigator.clipboard.writeText(address).then(() => setCopied(true))}
          >
            <Copy className="size-5" aria-hidden />
            {t(copied ? "phones.copied" : "phones.copy")}
          </button>
          <p className="mt-1 text-sm">{t("phones.calendarOnce")}</p>
        </div>
      )}
      {feed && !address && (
        <p>
          {t("phones.calendarStands", { when: sayTime(feed.madeAt, zone), time: feed.time ?? "none" })}{" "}
          {feed.readAt
            ? t("phones.calendarRead", { when: sayTime(feed.readAt, zone) })
            : t("phones.calendarUnread")}
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        <a className="btn" href={urlOf("readCalendar", { id, ...(time ? { at: time } : {}) })} download>
          <CalendarDays className="size-5" aria-hidden />
          {t("phones.calendarFile")}
        </a>
        {mayRecord && (
          <button type="button" className="btn" onClick={() => void make()}>
            {t(feed ? "phones.calendarMakeAgain" : "phones.calendarMake")}
          </button>
        )}
        {mayRecord && feed && (
          <button type="button" className="btn btn-error btn-outline" onClick={() => void end()}>
            {t("phones.calendarEnd")}
          </button>
        )}
      </div>
    </section>
  );
}
