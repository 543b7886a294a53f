import { useCallback, useEffect, useState } from "react";
import type { PhoneView } from "~/contract/phone";
import { call } from "~/islands/frame/call";
import { t } from "~/messages/say";
import {
  drop,
  emptyPhone,
  keep,
  keepWaiting,
  readKept,
  readWaiting,
  type NotTaken,
  type Waiting,
} from "~/workers/phone/phone-store";
import { waysFrom } from "~/messages/ways";
import { remindNoMore } from "./remind-here";
import { sendWaiting } from "./send-waiting";

interface State {
  /** `shut`: nobody's plan is open here. */
  readonly phase: "opening" | "shut" | "open";
  readonly view: PhoneView | null;
  readonly ahead: number;
  readonly waiting: readonly Waiting[];
  /** Told, and not yet kept on the phone: for a moment, or longer where its storage is busy. */
  readonly keeping: readonly Waiting[];
  readonly notTaken: readonly NotTaken[];
  /** Why it is shut, or what went wrong. */
  readonly says: string;
  /** The phone could not keep something. */
  readonly full: boolean;
}

const clockMs = 20_000;

/** Weights, lengths and dates are written here as the clinic of the plan does. */
const asWritten = ({ ways }: PhoneView) => {
  if (ways) waysFrom(() => ways);
};

const start: State = {
  phase: "opening",
  view: null,
  ahead: 0,
  waiting: [],
  keeping: [],
  notTaken: [],
  says: "",
  full: false,
};

/** The plan on this phone: kept here, sent and read whenever there is a connection. */
export function usePhone() {
  const [state, setState] = useState<State>(start);
  const [clock, setClock] = useState(() => Date.now());

  useEffect(() => {
    const timer = setInterval(() => setClock(Date.now()), clockMs);
    return () => clearInterval(timer);
  }, []);

  const shut = useCallback(async (says: string) => {
    await remindNoMore().catch(() => undefined);
    await emptyPhone();
    setState({ ...start, phase: "shut", says });
  }, []);

  const refresh = useCallback(async () => {
    const sent = await sendWaiting();
    if (sent === "shut") return shut(t("phone.notOpen"));
    const answer = await call("readPhone", {});
    const notTaken = (await readKept("notTaken")) ?? [];
    if (answer.ok) {
      const view = answer.value;
      asWritten(view);
      const ahead = Date.parse(view.asOf) - Date.now();
      const full = await failed(async () => {
        await keep("view", view);
        await keep("ahead", ahead);
      });
      const waiting = await whatWaits();
      setClock(Date.now());
      setState((before) => ({ ...before, phase: "open", view, ahead, waiting, notTaken, full, says: "" }));
      return;
    }
    if (answer.problem.type === "/problems/phone-not-open") {
      const known = await readKept("view");
      return shut(known ? t("phone.notOpen") : "");
    }
    const waiting = await whatWaits();
    setState((before) => ({
      ...before,
      phase: before.view ? "open" : "shut",
      waiting,
      notTaken,
      says: before.view ? "" : t("phone.offlineFirst"),
    }));
  }, [shut]);

  const open = useCallback(
    async (body: { token: string } | { code: string; birthYear: number }) => {
      const answer = await call("openPhone", {}, body);
      if (!answer.ok) {
        const { type, title } = answer.problem;
        const says = type === "/problems/offline" ? t("phone.offlineFirst") : title;
        setState((before) => ({ ...before, phase: before.view ? "open" : "shut", says }));
        return;
      }
      // Whoever opens a plan here does so for themselves: what another has left behind goes.
      await emptyPhone();
      await refresh();
    },
    [refresh],
  );

  useEffect(() => {
    const begin = async () => {
      const token = location.hash.slice(1);
      if ((await finishForgetting()) && token.length < 20) return shut(t("phone.forgotten"));
      const [view, ahead = 0] = await Promise.all([readKept("view"), readKept("ahead")]).catch(() => []);
      const waiting = await whatWaits().catch(() => []);
      if (view) asWritten(view);
      if (view) setState((before) => ({ ...before, phase: "open", view, ahead, waiting }));
      if (token.length >= 20) {
        history.replaceState(null, "", location.pathname);
        await open({ token });
      } else await refresh();
    };
    void begin();
    const again = () => {
      if (document.visibilityState === "visible") void refresh();
    };
    addEventListener("online", again);
    document.addEventListener("visibilitychange", again);
    return () => {
      removeEventListener("online", again);
      document.removeEventListener("visibilitychange", again);
    };
  }, [open, refresh, shut]);

  const someWait = state.waiting.length > 0;
  useEffect(() => {
    if (!someWait) return;
    // That there is a connection again is not always told.
    const timer = setInterval(() => void refresh(), clockMs);
    return () => clearInterval(timer);
  }, [someWait, refresh]);

  /** Keeps what was told, at once, and sends it when it can. */
  const tell = useCallback(
    async (what: Waiting, endsRun = false) => {
      setState((before) => ({ ...before, keeping: [...before.keeping, what] }));
      const full = !(await keepWaiting(what, endsRun));
      setState((before) => ({
        ...before,
        waiting: [...before.waiting, what],
        keeping: before.keeping.filter((other) => other !== what),
        full: before.full || full,
      }));
      await refresh();
    },
    [refresh],
  );

  const forget = useCallback(async () => {
    localStorage.setItem(forgetting, "yes");
    await shut(t("phone.forgotten"));
    await finishForgetting();
  }, [shut]);

  const readNotTaken = useCallback(async () => {
    await drop("notTaken");
    setState((before) => ({ ...before, notTaken: [] }));
  }, []);

  /** By the clinic's clock, as far as the phone knows it. */
  const now = new Date(clock + state.ahead).toISOString();
  /** What the clinic has not been told, whether it is kept by now or not. */
  const waiting = [...state.waiting, ...state.keeping];
  return { ...state, waiting, keeping: state.keeping.length > 0, now, open, tell, forget, readNotTaken };
}

const forgetting = "stair-phone-forget";

/** Tells the clinic's side that the plan was forgotten here; without a connection that is left for the next one. */
async function finishForgetting(): Promise<boolean> {
  if (localStorage.getItem(forgetting) === null) return false;
  const answer = await call("forgetPhone", {});
  if (answer.ok || answer.problem.status === 401) localStorage.removeItem(forgetting);
  return true;
}

/** What waits by now. Asked last before it is shown, so that an answer from before something was told never follows that. */
const whatWaits = async () => (await readWaiting()).map(({ what }) => what);

/** Whether something could not be kept on the phone. */
async function failed(work: () => Promise<void>): Promise<boolean> {
  try {
    await work();
    return false;
  } catch {
    return true;
  }
}
