import { Activity, LifeBuoy, ListChecks, OctagonAlert } from "lucide-react";
import { useCallback, useEffect, useState } from "react";
import { v7 as uuid } from "uuid";
import type { PhoneSignalBody } from "~/contract/phone";
import type { BodyPlace } from "~/core/exercise/body-place";
import { painSchool } from "~/core/response/pain-school";
import { island } from "~/islands/frame/island";
import PainPicker from "~/islands/frame/PainPicker";
import { sayTime, t } from "~/messages/say";
import { takeNewEdition } from "./edition";
import HelpBox from "./HelpBox";
import MorningForm from "./MorningForm";
import MyWay from "./MyWay";
import OpenForm from "./OpenForm";
import { phoneNow, runItems } from "~/workers/phone/phone-now";
import { keep, readKept } from "~/workers/phone/phone-store";
import { newRun, type RunState } from "~/workers/phone/run-state";
import RunView from "./RunView";
import TodayList from "./TodayList";
import { usePhone } from "./use-phone";
import { useRun } from "./use-run";
import WrongFlow from "./WrongFlow";
import "./phone.css";

type Screen = "today" | "before" | "run" | "over" | "morning" | "wrong" | "me" | "help";
const tabs = [
  ["today", ListChecks],
  ["me", Activity],
  ["help", LifeBuoy],
] as const;

/** The patient's own phone: today's exercises led through, the morning after, and what to do when something is wrong. */
function PhonePage() {
  const phone = usePhone();
  const { view, waiting, tell } = phone;
  const [screen, setScreen] = useState<Screen>("today");
  const { run, go, end, obey } = useRun(tell);
  const [painBefore, setPainBefore] = useState<number | null>(null);
  const [inHand, setInHand] = useState<string | null>(null);
  const [seenAt, setSeenAt] = useState("");
  const [doneCount, setDoneCount] = useState(0);
  const [place, setPlace] = useState<BodyPlace | null>(null);

  useEffect(() => {
    void readKept("seenAt").then(
      (at) => {
        setSeenAt(at ?? "");
        return keep("seenAt", new Date().toISOString());
      },
      () => undefined,
    );
    void readKept("place").then(
      (kept) => setPlace(kept ?? null),
      () => undefined,
    );
    void navigator.serviceWorker?.register("/my-worker.js", { scope: "/my" }).catch(() => undefined);
  }, []);

  // Not while something is in hand: a set, a sign, a morning half told.
  const isIdle = run === null && ["today", "me", "help", "over"].includes(screen);
  useEffect(() => {
    if (isIdle) void takeNewEdition();
  }, [isIdle, view]);

  const finish = useCallback(
    (ended: RunState) => {
      const count = end(ended);
      setDoneCount(count);
      setScreen(count > 0 ? "over" : "today");
    },
    [end],
  );

  if (phone.phase === "opening") return <p className="p-6 text-xl">{t("phone.opening")}</p>;
  if (phone.phase === "shut" || !view) return <OpenForm says={phone.says} onOpen={phone.open} />;

  const now = phoneNow(view, waiting, phone.now);
  const start = () => {
    if (run) return setScreen("run");
    setPainBefore(null);
    setScreen("before");
  };
  const begin = () => {
    if (painBefore === null) return;
    // Above the rule before the start is no good day.
    const mayPush = painBefore <= painSchool(view.school).goMax;
    const items = runItems(now, place).map((item) => (mayPush ? item : { ...item, harder: null }));
    go(newRun({ id: uuid(), startedAt: new Date().toISOString(), painBefore, items }));
    setScreen("run");
  };
  const wrong = (itemId: string | null) => {
    setInHand(itemId);
    setScreen("wrong");
  };
  const tellWrong = (sign: Omit<PhoneSignalBody, "sentAt">) => {
    void tell({ name: "tellSignal", body: sign });
    obey(sign);
  };

  return (
    <div className="phone mx-auto flex min-h-dvh max-w-lg flex-col">
      {phone.full && <p className="bg-warning text-warning-content p-3">{t("phone.fullSays")}</p>}
      {phone.notTaken.map(({ what, why }) => (
        <div
          key={what.body.id}
          role="alert"
          className="border-warning flex items-center gap-2 border-b-2 p-3"
        >
          <p className="flex-1">
            {t("phone.notTaken", { why })} {t("phone.notTakenSays")}
          </p>
          <button type="button" className="btn phone-plain" onClick={() => void phone.readNotTaken()}>
            OK
          </button>
        </div>
      ))}
      <div className="flex flex-1 flex-col">
        {screen === "today" && (
          <TodayList
            view={view}
            now={now}
            hasRun={run !== null}
            seenAt={seenAt}
            place={place}
            onPlace={(next) => {
              setPlace(next);
              void keep("place", next).catch(() => undefined);
            }}
            onStart={start}
            onMorning={() => setScreen("morning")}
          />
        )}
        {screen === "before" && (
          <section className="flex flex-1 flex-col gap-5 p-4 text-lg">
            <PainPicker
              label={t("phone.before")}
              name="before"
              value={painBefore}
              onChange={setPainBefore}
              ends={[t("phone.noPain"), t("phone.worstPain")]}
            />
            <p>{t(`phone.rule.${view.school}`)}</p>
            <button
              type="button"
              className="btn btn-primary sticky bottom-20 mt-auto min-h-20 text-2xl"
              disabled={painBefore === null}
              onClick={begin}
            >
              {t("phone.beforeNext")}
            </button>
          </section>
        )}
        {screen === "run" && run && (
          <RunView view={view} run={run} onRun={go} onOver={finish} onWrong={wrong} />
        )}
        {screen === "over" && (
          <section className="flex flex-1 flex-col gap-4 p-4 text-lg" role="status">
            <h1 className="text-3xl font-bold">{t("phone.overTitle")}</h1>
            <p>{t("phone.overSays", { count: doneCount })}</p>
          </section>
        )}
        {screen === "morning" && now.morningOf && (
          <MorningForm
            trainingDate={now.morningOf}
            onTold={(what) => {
              void tell(what);
              setScreen("today");
            }}
            onLeave={() => setScreen("today")}
          />
        )}
        {screen === "wrong" && (
          <WrongFlow
            view={view}
            items={now.items}
            inHand={inHand}
            onTold={tellWrong}
            onLeave={() => setScreen(run && !now.halted ? "run" : "today")}
          />
        )}
        {screen === "me" && <MyWay view={view} />}
        {screen === "help" && <HelpBox view={view} onForget={() => void phone.forget()} />}
      </div>
      {screen !== "run" && screen !== "wrong" && (
        <>
          <p className="text-base-content/75 px-4 pb-2 text-center text-sm" data-testid="sent">
            {phone.keeping
              ? t("phone.keeping")
              : waiting.length === 0
                ? t("phone.sent")
                : t("phone.waiting", { count: waiting.length })}{" "}
            · {t("phone.asOf", { when: sayTime(view.asOf, view.zone) })}
          </p>
          <nav
            className="border-base-300 bg-base-100 sticky bottom-0 flex border-t"
            aria-label={t("phone.title")}
          >
            {tabs.map(([code, Icon]) => (
              <button
                key={code}
                type="button"
                className="flex min-h-16 flex-1 flex-col items-center justify-center gap-1 px-1 text-sm leading-tight aria-[current=page]:font-bold"
                aria-current={screen === code ? "page" : undefined}
                onClick={() => setScreen(code)}
              >
                <Icon className="size-6" aria-hidden />
                {t(`phone.${code}`)}
              </button>
            ))}
            <button
              type="button"
              className="bg-error text-error-content flex min-h-16 flex-1 flex-col items-center justify-center gap-1 px-1 text-sm leading-tight font-semibold"
              onClick={() => wrong(null)}
            >
              <OctagonAlert className="size-6" aria-hidden />
              {t("phone.wrong")}
            </button>
          </nav>
        </>
      )}
    </div>
  );
}

export default island(PhonePage);
