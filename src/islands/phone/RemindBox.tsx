import { BellRing, CalendarPlus } from "lucide-react";
import { useEffect, useState } from "react";
import type { PhoneView } from "~/contract/phone";
import { urlOf } from "~/contract/addresses";
import { t } from "~/messages/say";
import { isReminding, remindHere, remindNoMore, type Reminding } from "./remind-here";

const usualTime = "18:00";

/** The laid out days for the phone's own calendar, which reminds without any service of ours. */
export default function RemindBox({ days }: Pick<PhoneView, "days">) {
  const [time, setTime] = useState(usualTime);
  const [reminding, setReminding] = useState<Reminding | null>(null);
  useEffect(() => {
    void isReminding().then(setReminding, () => setReminding("not-here"));
  }, []);
  const turn = async () => {
    const words = { title: t("phone.remindTitle"), body: t("phone.remindBody") };
    setReminding(await (reminding === "on" ? remindNoMore() : remindHere(words)));
  };
  const isPlanned = days.some(({ items }) => items.length > 0);
  return (
    <div data-testid="remind">
      <h2 className="text-xl font-bold">{t("phone.calendar")}</h2>
      {isPlanned ? (
        <>
          <p>{t("phone.calendarSays")}</p>
          <label className="mt-2 flex items-center gap-3 font-medium">
            {t("phone.calendarTime")}
            <input
              type="time"
              className="input input-lg w-36"
              value={time}
              onChange={(event) => setTime(event.target.value)}
            />
          </label>
          <a
            className="btn phone-plain btn-lg mt-2 w-full"
            href={urlOf("readOwnCalendar", time ? { at: time } : {})}
            download
          >
            <CalendarPlus className="size-6" aria-hidden />
            {t("phone.calendarPut")}
          </a>
        </>
      ) : (
        <p>{t("phone.calendarNone")}</p>
      )}
      {reminding && (
        <div className="mt-3" data-testid="remind-here">
          <p role="status">{t(`phone.remind.${reminding}`)}</p>
          {(reminding === "on" || reminding === "off") && (
            <button type="button" className="btn phone-plain btn-lg mt-2 w-full" onClick={() => void turn()}>
              <BellRing className="size-6" aria-hidden />
              {t(reminding === "on" ? "phone.remindStop" : "phone.remindStart")}
            </button>
          )}
        </div>
      )}
    </div>
  );
}
