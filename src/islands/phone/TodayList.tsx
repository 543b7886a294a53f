import { Check, OctagonX, RefreshCw } from "lucide-react";
import type { PhoneItem, PhoneView } from "~/contract/phone";
import type { BodyPlace } from "~/core/exercise/body-place";
import FigureThumb from "~/islands/figure/FigureThumb";
import { sayDate, t } from "~/messages/say";
import { isInPlace, runItems, type PhoneNow } from "~/workers/phone/phone-now";
import PlaceChoice from "./PlaceChoice";
import { runSteps, secondsOf } from "~/workers/phone/run-state";
import { saySet } from "~/messages/say-set";
import { saySign } from "./say-sign";
import { drawnAs } from "./drawn-as";

interface Props {
  view: PhoneView;
  now: PhoneNow;
  hasRun: boolean;
  seenAt: string;
  /** What is done where: null is all of it. */
  place: BodyPlace | null;
  onPlace: (place: BodyPlace | null) => void;
  onStart: () => void;
  onMorning: () => void;
}

/** Today's exercises in their order, with what stands in the way of starting. */
export default function TodayList({ view, now, hasRun, seenAt, place, onPlace, onStart, onMorning }: Props) {
  const rests = view.state !== "active";
  const all = now.todays.filter(({ stopped }) => !stopped);
  const open = runItems(now, place);
  const someDone = now.left.length > 0 && now.left.length < all.length;
  const minutes = Math.ceil(secondsOf(runSteps({ items: open, eased: [] })) / 60);
  const mayStart = !rests && !now.halted && open.length > 0;
  return (
    <section className="flex flex-1 flex-col gap-3 p-4 text-lg">
      <h1 className="text-2xl font-bold">{t("phone.hello", { name: view.givenName })}</h1>
      {now.halted && (
        <div role="alert" className="border-error rounded-box flex flex-col gap-1 border-4 p-4">
          <p className="text-error flex items-center gap-2 text-2xl font-bold">
            <OctagonX className="size-8 shrink-0" aria-hidden />
            {t("phone.halted")}
          </p>
          <p>{t("phone.haltedWhy", { what: saySign(now.halted.code) })}</p>
          <p className="text-xl font-bold">{view.calls[now.halted.urgency]}</p>
          <p>{t("phone.haltedUntil")}</p>
        </div>
      )}
      {rests && <p className="border-warning rounded-box border-2 p-3 font-medium">{t("phone.resting")}</p>}
      {now.morningOf && (
        <button type="button" className="btn btn-accent min-h-16 text-xl" onClick={onMorning}>
          {t("phone.morning")}
        </button>
      )}
      {view.messages[0] && (
        <p className="bg-base-100 border-base-300 rounded-box border p-3">
          <span className="block text-sm font-semibold">{t("phone.messages")}</span>
          {view.messages[0].words}
        </p>
      )}
      <div className="flex items-baseline justify-between">
        <h2 className="text-xl font-bold">
          {t("phone.today")}, {sayDate(now.today)}
        </h2>
        {open.length > 0 && (
          <span className="text-base-content/80 text-base">{t("phone.minutes", { minutes })}</span>
        )}
      </div>
      {now.where && <p className="text-base">{t(`phone.where.${now.where}`)}</p>}
      {now.beforeTraining && (
        <p className="text-base" data-testid="training">
          {now.beforeTraining.length === 0
            ? t("phone.trainingAfter")
            : t("phone.training", { names: now.beforeTraining.map(({ name }) => name).join(", ") })}
        </p>
      )}
      {now.doneToday && (
        <p className="text-success flex items-center gap-2 font-semibold" role="status">
          <Check aria-hidden />{" "}
          {someDone
            ? t("phone.someDone", { done: all.length - now.left.length, all: all.length })
            : t("phone.doneToday")}
        </p>
      )}
      <PlaceChoice items={all} chosen={place} onChoose={onPlace} />
      {view.items.length === 0 && <p>{t("phone.noPlan")}</p>}
      {view.items.length > 0 && now.todays.length === 0 && <p>{t("phone.nothingToday")}</p>}
      {place !== null && open.length === 0 && all.length > 0 && <p>{t("phone.placeNone")}</p>}
      <ul className="flex flex-col gap-2">
        {now.todays
          .filter((item) => isInPlace(item, place))
          .map((item) => (
            <Line key={item.itemId} item={item} view={view} isNew={seenAt !== "" && item.since > seenAt} />
          ))}
      </ul>
      {mayStart && (
        <button
          type="button"
          className="btn btn-primary sticky bottom-20 mt-auto min-h-20 text-2xl"
          onClick={onStart}
        >
          {t(
            hasRun ? "phone.goOn" : someDone ? "phone.doRest" : now.doneToday ? "phone.again" : "phone.start",
          )}
        </button>
      )}
    </section>
  );
}

function Line({ item, view, isNew }: { item: PhoneItem; view: PhoneView; isNew: boolean }) {
  return (
    <li
      className={`bg-base-100 border-base-300 rounded-box flex items-center gap-3 border p-2 ${item.stopped ? "opacity-80" : ""}`}
    >
      <FigureThumb
        exercise={drawnAs(item)}
        prescription={item.prescription}
        heightM={view.heightM}
        side={view.involvedSide}
        className="h-16 w-20 shrink-0"
      />
      <div className="min-w-0 leading-snug">
        <p className="font-semibold">
          {item.name}
          {isNew && (
            <span
              className="text-accent ml-2 inline-flex items-center gap-1 text-sm"
              title={t("phone.changedSays")}
            >
              <RefreshCw className="size-4" aria-hidden />
              {t("phone.changed")}
            </span>
          )}
        </p>
        <p className="text-base">
          {item.prescription.dose.sets} × {saySet(item.prescription)}
        </p>
        {item.stopped ? (
          <p className="text-error text-base font-semibold">{t("phone.leftOut")}</p>
        ) : (
          <p className="text-base-content/75 text-sm">
            {t("phone.timesThisWeek", { done: item.doneDays, wanted: item.wantedDays })}
          </p>
        )}
      </div>
    </li>
  );
}
