import { useEffect, useMemo, useRef, useState } from "react";
import { takenBy } from "~/core/device/taken-by";
import type { TakenTrace } from "~/core/device/force-trial";
import type { Measure } from "~/core/measure/measure";
import type { InvolvedSide } from "~/core/measure/side-value";
import { unpackTrace } from "~/core/device/pack-trace";
import { leverOf, type RowEntry } from "./entry-draft";
import { label, sayNumber, t } from "~/messages/say";
import AimSelect, { bandOf, type Aim } from "./AimSelect";
import DeviceLine from "~/islands/device/DeviceLine";
import LiveTrace from "~/islands/device/LiveTrace";
import { readTrial } from "~/islands/device/read-trial";
import TraceFile from "~/islands/device/TraceFile";
import { isSettled, nextSlot, rowWith, slotsOf, type Slot } from "./trial-slots";
import TrialList, { nameOfSlot } from "./TrialList";
import TrialResult from "./TrialResult";
import { beepAt, useDevice } from "~/islands/device/use-device";

interface Props {
  measure: Measure;
  row: RowEntry;
  involvedSide: InvolvedSide;
  /** Words of a limit in force that forbids to take it now; null when none does. */
  barredBy: string | null;
  /** The best that is known of this person, in the measure's unit. */
  best: number | null;
  /** Where devices answer on this machine. */
  address: string;
  onDone: (row: RowEntry) => void;
  onClose: () => void;
}

/** A measure taken with a device: trial by trial, each read at once, none kept that nobody has seen. */
export default function CapturePanel({
  measure,
  row,
  involvedSide,
  barredBy,
  best,
  address,
  onDone,
  onClose,
}: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  const by = useMemo(() => takenBy(measure) ?? ({ kind: "dynamometer", goal: "force" } as const), [measure]);
  const [slots, setSlots] = useState<readonly Slot[]>(() => slotsOf(measure, involvedSide));
  const [at, setAt] = useState(0);
  const [aim, setAim] = useState<Aim>("none");
  const [leverCm, setLeverCm] = useState(row.leverCm ?? "");
  const [reading, setReading] = useState(false);
  const [read, setRead] = useState(0);
  const slot = slots[at] as Slot;
  const isForce = by.kind !== "mat";

  const take = async (trace: TakenTrace, about: { device: string; unit: "N" | "mm[Hg]" | "contact" }) => {
    setReading(true);
    const { trial, kept } = await readTrial({ goal: by.goal, trace, about });
    setReading(false);
    setRead((before) => before + 1);
    const taken = { ...trial, kept };
    const next = slots.map((one, n) =>
      n === at ? { ...one, taken, accepted: false, held: aim !== "none" } : one,
    );
    setSlots(next);
    // What should be repeated stays before one's eyes until somebody has decided.
    if (isSettled(next[at] as Slot)) goOn(next);
  };
  const goOn = (now: readonly Slot[]) => {
    const next = nextSlot(now);
    if (next >= 0) setAt(next);
  };
  const device = useDevice(address, by, (trace, { name, unit }) => void take(trace, { device: name, unit }));
  const { state, running } = device;

  useEffect(() => {
    dialog.current?.showModal();
  }, []);

  const last = useMemo(() => {
    const shown = slot.taken ?? [...slots].reverse().find(({ taken }) => taken)?.taken;
    return shown ? { values: unpackTrace(shown.kept), hz: shown.kept.sampleHz } : null;
  }, [slot, slots]);
  const band = bandOf(aim, best);
  const settled = slots.filter(isSettled).length;
  const unit = label("unit", by.kind === "mat" ? "1" : measure.unit);
  const shownBefore = slots[slots.findIndex((one) => one === slot) - 1];
  const shown = slot.taken ? slot : shownBefore?.taken ? shownBefore : null;

  const put = () => {
    onDone(rowWith({ ...row, ...(leverCm === "" ? {} : { leverCm }) }, slots, measure));
    dialog.current?.close();
  };

  return (
    <dialog
      ref={dialog}
      className="modal text-base-content"
      aria-label={t("device.title", { name: measure.name })}
      // A key pressed by mistake throws no trial away.
      onCancel={(event) => settled > 0 && event.preventDefault()}
      onClose={onClose}
      data-testid="capture"
      data-read={read}
    >
      <div className="modal-box flex max-h-[96dvh] w-full max-w-6xl flex-col gap-3 max-sm:max-h-dvh max-sm:rounded-none max-sm:p-3">
        <header className="flex flex-wrap items-baseline justify-between gap-x-4 gap-y-1">
          <h2 className="text-lg font-semibold">{t("device.title", { name: measure.name })}</h2>
          <DeviceLine
            state={state}
            address={address}
            onConnect={device.connect}
            onCable={(profile) => void device.connectCable(profile)}
          />
          {row.way && <p className="text-base-content/75 w-full text-sm">{row.way}</p>}
        </header>
        {barredBy !== null && (
          <p className="alert alert-warning alert-soft text-base-content font-medium" role="alert">
            {t("device.barred", { says: barredBy })}
          </p>
        )}
        <div className="grid gap-3 md:grid-cols-[1fr_17rem]">
          <div className="flex min-w-0 flex-col gap-2">
            <p className="min-h-8 text-xl font-semibold" role="status" data-testid="prompt">
              {state.running && t(promptOf(by.goal, state.seconds, band !== null))}
            </p>
            <div className="border-base-300 h-64 rounded-md border max-sm:h-44">
              <LiveTrace
                running={running}
                last={last?.values ?? null}
                sampleHz={state.running ? (state.hello?.sampleHz ?? 1000) : (last?.hz ?? 1000)}
                unit={unit}
                most={by.kind === "mat" ? 1 : Math.max(50, (best ?? 100) * 1.1)}
                band={band}
                ends={by.kind === "mat" ? [t("device.inAir"), t("device.onMat")] : null}
                label={t("device.live")}
              />
            </div>
            <div className="flex flex-wrap items-center gap-2">
              {state.running ? (
                <>
                  <button type="button" className="btn btn-primary min-h-14 text-lg" onClick={device.finish}>
                    {t("device.finish")}
                  </button>
                  <button type="button" className="btn min-h-14" onClick={device.drop}>
                    {t("device.drop")}
                  </button>
                </>
              ) : (
                <button
                  type="button"
                  className="btn btn-primary min-h-14 text-lg"
                  disabled={!state.hello || reading}
                  onClick={device.start}
                >
                  {t(slot.taken ? "device.startAgain" : "device.start", { trial: nameOfSlot(slot) })}
                </button>
              )}
              {shown && !state.running && (
                <TrialResult
                  slot={shown}
                  name={nameOfSlot(shown)}
                  measure={measure}
                  leverM={leverOf({ leverCm })}
                  onAccept={() => {
                    const next = slots.map((one) => (one === shown ? { ...one, accepted: true } : one));
                    setSlots(next);
                    goOn(next);
                  }}
                />
              )}
            </div>
          </div>
          <TrialList
            slots={slots}
            measure={measure}
            at={at}
            disabled={state.running || reading}
            onPick={setAt}
          />
        </div>
        <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
          {isForce && measure.sides === "each" && (
            <label className="flex flex-col text-sm" title={t("device.leverHelp")}>
              <span>{t("device.lever")}</span>
              <input
                className="input w-24"
                inputMode="decimal"
                value={leverCm}
                onChange={({ target }) => setLeverCm(target.value)}
              />
            </label>
          )}
          {isForce && best !== null && (
            <AimSelect aim={aim} best={sayNumber(best)} unit={unit} onAim={setAim} />
          )}
          {by.kind === "dynamometer" && (
            <TraceFile
              trial={nameOfSlot(slot)}
              disabled={state.running || reading}
              onFile={(trace, name) => void take(trace, { device: name.slice(0, 60), unit: "N" })}
            />
          )}
          <div className="ml-auto flex flex-wrap gap-2">
            <button type="button" className="btn" onClick={() => dialog.current?.close()}>
              {t("device.close")}
            </button>
            <button
              type="button"
              className="btn btn-primary"
              disabled={settled === 0 || state.running}
              onClick={put}
            >
              {t("device.put")}
            </button>
          </div>
        </div>
      </div>
    </dialog>
  );
}

const prompts = {
  force: "device.push",
  pressure: "device.push",
  jump: "device.jump",
  rebound: "device.rebound",
  hops: "device.hops",
} as const;

const promptOf = (goal: keyof typeof prompts, seconds: number, inBand: boolean) =>
  seconds < beepAt ? "device.still" : inBand ? "device.pushBand" : prompts[goal];
