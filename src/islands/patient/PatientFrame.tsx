import { later } from "~/islands/frame/later";
import { ChevronDown, PauseCircle, ShieldAlert } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import type { EndpointName } from "~/contract/addresses";
import type { PatientFrame as Frame } from "~/contract/frame";
import type { Written } from "~/contract/episode";
import { localDay } from "~/core/schedule/local-day";
import { call } from "~/islands/frame/call";
import { island } from "~/islands/frame/island";
import { usePatientNews } from "~/islands/frame/patient-news";
import { useShortcuts } from "~/islands/frame/use-shortcuts";
import { sayDate, t } from "~/messages/say";
import ConditionChips from "./ConditionChips";
import { patientViews, type PatientViewPath } from "~/islands/frame/patient-views";
import RaiseSignal from "./RaiseSignal";
import { saySinceOnset, saySinceSurgery } from "./say-since";
import SignalBanner from "./SignalBanner";

const LimitTimeline = later(() => import("./LimitTimeline"));

interface Props {
  frame: Frame;
  /** The view that stands below; null for one that is reached from another. */
  view: PatientViewPath | null;
}

/** Writes after which everything that stands here is as it was. */
const leavesHeadAsItIs: readonly EndpointName[] = [
  "keepSessionDraft",
  "recordReport",
  "signDecision",
  "clearStop",
  "attributeFlare",
  "setSchool",
  "signDocument",
];

/**
 * The head of every view of a patient: who it is, how far on, what holds, what is wrong, and the way to every other view. It
 * follows what any view below it writes.
 */
function PatientFrame({ frame: loaded, view }: Props) {
  const [frame, setFrame] = useState(loaded);
  const here = `/episodes/${frame.episodeId}`;
  const views = patientViews.filter(({ path }) => path !== "lifts" || frame.lifts);
  // The way to raise an alarm outlives an answer that makes no sense.
  const withSignals = ({ signals }: Partial<Pick<Frame, "signals">>) => {
    if (signals) setFrame((now) => ({ ...now, signals }));
  };
  const address = (path: string) => (path === "" ? here : `${here}/${path}`);

  useShortcuts(
    Object.fromEntries(
      views
        .filter(({ path }) => path !== view)
        .map(({ key, path }) => [key, () => location.assign(address(path))]),
    ),
  );
  // An answer that a later question has overtaken is passed over: it knows less than what stands here.
  const asked = useRef(0);
  usePatientNews(({ endpoint, answer: written }) => {
    // What is wrong stands at once, also on a line that loses the next question.
    const { stair } = written as Partial<Written>;
    if (stair) withSignals(stair);
    if (leavesHeadAsItIs.includes(endpoint)) return;
    const mine = (asked.current += 1);
    void call("readFrame", { id: frame.episodeId }).then((answer) => {
      if (answer.ok && mine === asked.current) setFrame(answer.value);
    });
  });

  // On a phone the row of views is longer than the screen: the one that is open stands in it.
  const open = useRef<HTMLAnchorElement>(null);
  useEffect(() => {
    const row = open.current?.parentElement;
    if (open.current && row) row.scrollLeft = open.current.offsetLeft - row.clientWidth / 3;
  }, []);

  return (
    <section className="bg-base-100 border-base-300 border-b print:hidden" aria-label={t("frame.patient")}>
      <div className="mx-auto max-w-7xl px-4 pt-2">
        <div className="flex flex-wrap items-start gap-x-4 gap-y-1 lg:flex-nowrap lg:items-center">
          <div className="flex min-w-0 flex-1 flex-wrap items-center gap-x-3 gap-y-1 lg:flex-none lg:max-w-2/5">
            <h1 className="text-2xl leading-tight font-bold wrap-anywhere">
              {frame.person.givenName} {frame.person.familyName}
            </h1>
            <ConditionChips conditions={frame.person.conditions} />
            {frame.limits.length > 0 && <LimitsInForce frame={frame} />}
          </div>
          <p
            className="text-base-content/80 order-last basis-full text-sm leading-snug lg:order-none lg:flex-1 lg:basis-0"
            data-testid="patient-facts"
          >
            {frame.diagnosis}, <strong>{t(`side.${frame.involvedSide}`)}</strong> ·{" "}
            {saySinceOnset(frame.daysSinceOnset)}
            {frame.surgery && ` · ${saySinceSurgery(frame.surgery)}`}
            {frame.plannedOn && ` · ${t("frame.planned", { date: sayDate(frame.plannedOn) })}`}
            {frame.elsewhere.length > 0 &&
              ` · ${t("frame.elsewhere", { problems: frame.elsewhere.join("; ") })}`}{" "}
            · {t("frame.stage", { ...frame.stage })} ·{" "}
            {t("frame.born", { year: frame.birthYear, age: frame.age })}, {frame.activity}
          </p>
          <RaiseSignal stair={frame} onRaised={withSignals} />
        </div>
        {frame.resting && (
          <p
            className="alert alert-warning alert-soft text-base-content my-1 flex flex-wrap gap-2 py-1"
            data-testid="resting"
          >
            <PauseCircle className="size-5 shrink-0" aria-hidden />
            {t(frame.state === "closed" ? "frame.closed" : "frame.paused", {
              date: sayDate(localDay(frame.resting.at, frame.zone)),
              reason: frame.resting.reason,
            })}
            {frame.maySign && view !== "person" && (
              <a className="btn btn-sm min-h-11" href={address("person")}>
                {t(frame.state === "closed" ? "frame.openAgain" : "frame.takeUp")}
              </a>
            )}
          </p>
        )}
        <div className="my-1 empty:hidden">
          <SignalBanner stair={frame} onChange={withSignals} />
        </div>
        <nav
          className="relative -mx-4 flex gap-1 overflow-x-auto px-4 [scrollbar-width:none]"
          aria-label={t("frame.views")}
        >
          {views.map(({ path, key, says, Icon }) => (
            <a
              key={path}
              ref={path === view ? open : undefined}
              href={address(path)}
              aria-current={path === view ? "page" : undefined}
              aria-keyshortcuts={key}
              className="aria-[current=page]:border-primary hover:border-base-300 flex min-h-11 shrink-0 items-center gap-1.5 border-b-4 border-transparent px-2 pt-1 text-sm font-semibold aria-[current=page]:font-bold"
            >
              <Icon className="size-4" aria-hidden />
              {t(says)}
            </a>
          ))}
        </nav>
      </div>
    </section>
  );
}

/** How many limits hold; which ones and until when, on a tap. */
function LimitsInForce({ frame: { limits, today } }: { frame: Frame }) {
  const [open, setOpen] = useState(false);
  return (
    <details className="group relative" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="border-neutral inline-flex min-h-8 cursor-pointer list-none items-center gap-1 rounded-full border-2 px-2 text-sm font-semibold max-sm:min-h-11">
        <ShieldAlert className="size-4 shrink-0" aria-hidden />
        {t("frame.limits", { count: limits.length })}
        <ChevronDown className="size-4 shrink-0 group-open:rotate-180" aria-hidden />
      </summary>
      {open && (
        <div className="bg-base-100 border-base-300 rounded-box absolute left-0 z-20 mt-1 w-96 max-w-[calc(100vw-2rem)] border p-3 shadow-lg">
          <LimitTimeline limits={limits} today={today} />
        </div>
      )}
    </details>
  );
}

export default island(PatientFrame);
