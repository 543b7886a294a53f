import { useCallback, useEffect, useRef, useState } from "react";
import type { DeviceKind, DeviceMessage, DeviceOrder, Hello } from "~/core/device/device-message";
import { deviceProfiles } from "~/core/device/device-profile";
import type { TakenTrace } from "~/core/device/force-trial";
import type { TrialGoal } from "~/core/device/taken-by";
import { trialIsOver } from "~/core/device/trial-end";
import { beep } from "./beep";
import { openCable, openSocket, type DeviceLink, type LinkEnd } from "./device-link";

/** Why a device is heard no more; or why the last trial was not kept. */
export type DeviceEnd = LinkEnd | "battery" | "switched-off" | "fault";

export interface DeviceState {
  readonly hello: Hello | null;
  readonly battery: number | null;
  /** Null while it is listened to. */
  readonly end: DeviceEnd | null;
  readonly running: boolean;
  /** Seconds of the running trial, told ten times a second. */
  readonly seconds: number;
}

/** Samples of the running trial; changed in place, since a view draws them at every frame. */
export interface Running {
  values: number[];
  lost: number;
}

/** The beep to begin at. */
export const beepAt = 1;
const tellMs = 100;
const none: DeviceState = { hello: null, battery: null, end: null, running: false, seconds: 0 };

/**
 * A device, listened to: it says who it is, and gives its samples trial by trial.
 *
 * @param address where it is over a local connection
 * @param onTrial gets every trial that came to its end; one that broke off is dropped
 */
export function useDevice(
  address: string,
  { kind, goal }: { readonly kind: DeviceKind; readonly goal: TrialGoal },
  onTrial: (trace: TakenTrace, hello: Hello) => void,
) {
  const [state, setState] = useState<DeviceState>(none);
  const link = useRef<DeviceLink | null>(null);
  const running = useRef<Running | null>(null);
  const hello = useRef<Hello | null>(null);
  const trialOf = useRef(onTrial);
  useEffect(() => {
    trialOf.current = onTrial;
  });

  const change = (part: Partial<DeviceState>) => setState((before) => ({ ...before, ...part }));
  const order = useCallback((given: DeviceOrder) => link.current?.order(given), []);

  const finish = useCallback(() => {
    const [trial, who] = [running.current, hello.current];
    running.current = null;
    link.current?.order({ v: 1, type: "stop" });
    change({ running: false, seconds: 0 });
    if (trial && who) {
      const { values, lost } = trial;
      trialOf.current({ values, lost, sampleHz: who.sampleHz, most: who.most }, who);
    }
  }, []);

  const told = useCallback((message: DeviceMessage) => {
    if (message.type === "hello") {
      hello.current = message;
      change({ hello: message, end: null });
    } else if (message.type === "battery") change({ battery: message.percent });
    else if (message.type === "bye") change({ end: message.why });
    else if (running.current) {
      const { values } = running.current;
      running.current.lost += Math.max(0, message.first - values.length - running.current.lost);
      values.push(...message.values);
    }
  }, []);

  const ended = useCallback((why: LinkEnd) => {
    // A trial that broke off is none.
    running.current = null;
    link.current = null;
    setState((before) => ({ ...before, hello: null, running: false, seconds: 0, end: before.end ?? why }));
  }, []);

  const connect = useCallback(() => {
    link.current?.close();
    setState(none);
    link.current = openSocket(address, kind, { told, ended });
  }, [address, kind, told, ended]);

  const connectCable = useCallback(
    async (profileCode: string) => {
      const profile = deviceProfiles.find(({ code }) => code === profileCode);
      if (!profile) return;
      try {
        const port = await navigator.serial.requestPort();
        link.current?.close();
        setState(none);
        link.current = await openCable(port, profile, { told, ended });
      } catch {
        change({ end: "unreachable" });
      }
    },
    [told, ended],
  );

  useEffect(() => {
    // oxlint-disable-next-line react/set-state-in-effect -- another link begins with nothing known of the device
    connect();
    return () => {
      link.current?.close();
      link.current = null;
    };
  }, [connect]);

  useEffect(() => {
    if (!state.running) return;
    let beeped = false;
    const timer = setInterval(() => {
      const [trial, who] = [running.current, hello.current];
      if (!trial || !who) return;
      const seconds = trial.values.length / who.sampleHz;
      if (seconds >= beepAt && !beeped) {
        beeped = true;
        beep();
      }
      change({ seconds });
      if (trialIsOver(goal, trial.values, who.sampleHz)) finish();
    }, tellMs);
    return () => clearInterval(timer);
  }, [state.running, goal, finish]);

  const start = () => {
    if (!hello.current) return;
    running.current = { values: [], lost: 0 };
    order({ v: 1, type: "start" });
    change({ running: true, seconds: 0, end: null });
  };
  const drop = () => {
    running.current = null;
    order({ v: 1, type: "stop" });
    change({ running: false, seconds: 0 });
  };
  return { state, running, order, connect, connectCable, start, finish, drop };
}
