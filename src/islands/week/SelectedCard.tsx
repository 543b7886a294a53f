import { Lock, LockOpen, X } from "lucide-react";
import { sayDate, t } from "~/messages/say";

interface Props {
  name: string;
  /** The day it stands on; null while it stands on none. */
  date: string | null;
  /** Days it may be moved to. */
  days: readonly string[];
  locked: boolean;
  /** Done, or behind us: it stays. */
  fixed: boolean;
  onMove: (to: string) => void;
  onLock: () => void;
  onOff: () => void;
  onClose: () => void;
}

/** What can be done with the piece of the week that was chosen, by buttons and keys. */
export default function SelectedCard({ name, date, days, locked, fixed, ...on }: Props) {
  return (
    <section
      className="bg-base-100 border-primary rounded-box flex flex-wrap items-center gap-2 border p-2"
      data-testid="selected"
    >
      <p className="font-semibold">
        {date === null ? t("week.selectedOff", { name }) : t("week.selected", { name, day: sayDate(date) })}
      </p>
      {!fixed && (
        <>
          <span className="text-sm">{t(date === null ? "week.putOn" : "week.moveTo")}</span>
          {days.map((day) => (
            <button key={day} type="button" className="btn btn-sm min-h-11" onClick={() => on.onMove(day)}>
              {sayDate(day)}
            </button>
          ))}
          {date !== null && (
            <>
              <button type="button" className="btn btn-sm min-h-11" onClick={on.onLock}>
                {locked ? (
                  <LockOpen className="size-4" aria-hidden />
                ) : (
                  <Lock className="size-4" aria-hidden />
                )}
                {t(locked ? "week.unlock" : "week.lock")}
              </button>
              <button type="button" className="btn btn-sm min-h-11" onClick={on.onOff}>
                {t("week.takeOff")}
              </button>
            </>
          )}
        </>
      )}
      <button
        type="button"
        className="btn btn-ghost btn-square ml-auto"
        aria-label={t("week.close")}
        onClick={on.onClose}
      >
        <X className="size-5" aria-hidden />
      </button>
    </section>
  );
}
