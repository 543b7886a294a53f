import { ChevronRight, Pause, Play, Volume2, VolumeX } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import type { PhoneView } from "~/contract/phone";
import { skipReasons } from "~/core/case/case-file";
import ExerciseFigure from "~/islands/figure/ExerciseFigure";
import { t } from "~/messages/say";
import AfterExercise from "./AfterExercise";
import {
  runPrescription,
  runSteps,
  secondsOf,
  stepOver,
  stepsSkipped,
  toBeTold,
  type Felt,
  type RunState,
} from "~/workers/phone/run-state";
import { readyForSound, sayAloud } from "./say-aloud";
import { saySet, saySide, sayStep } from "~/messages/say-set";
import TurnButtons from "./TurnButtons";
import { useSeconds } from "./use-seconds";
import { drawnAs } from "./drawn-as";

interface Props {
  view: PhoneView;
  run: RunState;
  onRun: (run: RunState) => void;
  onOver: (run: RunState) => void;
  onWrong: (itemId: string | null) => void;
}

/** A day's exercises, one set at a time: the figure at its tempo, which leg, how many, a clock that counts aloud, and rests. */
export default function RunView({ view, run, onRun, onOver, onWrong }: Props) {
  const [sound, setSound] = useState(true);
  const [paused, setPaused] = useState(false);
  const [going, setGoing] = useState(false);
  const [skipping, setSkipping] = useState(false);
  const steps = runSteps(run);
  const step = steps[run.at];
  const telling = toBeTold(run, steps);
  const isWork = step?.kind === "work";
  const ticks = !paused && !telling && step !== undefined && (!isWork || going);
  const item = run.items.find(({ itemId }) => itemId === step?.itemId);
  const prescription = item ? runPrescription(item, run) : null;
  const dose = prescription?.dose;
  const counts = isWork && going && dose?.reps !== undefined;
  const said = useRef("");

  const say = (words: string, high = false) => {
    if (sound) sayAloud(words, high ? 880 : 660);
  };
  const move = (next: RunState) => {
    setGoing(false);
    setPaused(false);
    onRun(next);
  };
  const over = () => move(stepOver(run, steps));

  /** How many repetitions are begun, where they are counted; else the seconds that are left. */
  const shownAt = (seconds: number) => {
    if (!step) return 0;
    const { reps } = dose ?? {};
    if (counts && reps) return Math.min(Math.floor((seconds / step.seconds) * reps.top) + 1, reps.top);
    return Math.max(0, Math.ceil(step.seconds - seconds));
  };
  // Each number is said once, and the end of a step moves on.
  const seconds = useSeconds(`${run.id} ${run.at} ${going}`, ticks, (passed) => {
    if (!step) return;
    const number = shownAt(passed);
    const mark = `${run.at} ${number}`;
    if (said.current !== mark && passed > 0.3) {
      said.current = mark;
      if (counts || number <= 3) say(String(number));
    }
    if (passed >= step.seconds) {
      say(sayStep(steps[run.at + 1]), true);
      over();
    }
  });
  const shown = shownAt(seconds);

  useEffect(() => {
    const lock = "wakeLock" in navigator ? navigator.wakeLock.request("screen").catch(() => null) : null;
    return () => void lock?.then((held) => held?.release());
  }, []);

  useEffect(() => {
    if (step === undefined && telling === null) onOver(run);
  }, [step, telling, run, onOver]);

  if (telling) {
    const isLast = !steps.slice(run.at).some(({ kind }) => kind === "work");
    return (
      <AfterExercise
        key={telling.itemId}
        item={telling}
        prescription={runPrescription(telling, run)}
        school={view.school}
        isLast={isLast}
        onTold={(felt: Felt) => move({ ...run, felt: { ...run.felt, [telling.itemId]: felt } })}
      />
    );
  }
  if (!step || !item || !prescription) return null;

  const minutesLeft = Math.ceil(secondsOf(steps.slice(run.at)) / 60);
  const upNext = isWork ? step : steps.slice(run.at).find((next) => next.kind === "work");
  const leg = upNext?.kind === "work" ? upNext.side : "both";
  const begin = () => {
    readyForSound();
    say(t("phone.say.go"), true);
    setGoing(true);
  };
  return (
    <section className="flex flex-1 flex-col gap-2 p-3" data-testid="run">
      <div className="flex items-center gap-2">
        <span className="text-base-content/80 flex-1">
          {t("phone.minutesLeft", { minutes: minutesLeft })}
        </span>
        <button
          type="button"
          className="btn phone-plain btn-square"
          aria-label={t(sound ? "phone.soundOff" : "phone.soundOn")}
          onClick={() => setSound(!sound)}
        >
          {sound ? <Volume2 aria-hidden /> : <VolumeX aria-hidden />}
        </button>
        <button type="button" className="btn btn-error btn-outline" onClick={() => onWrong(item.itemId)}>
          {t("phone.wrong")}
        </button>
      </div>
      <div>
        <h1 className="text-2xl leading-tight font-bold">{isWork ? item.name : t(`phone.${step.kind}`)}</h1>
        <p className="text-xl">
          {isWork ? (
            <>
              <strong className="bg-primary text-primary-content rounded px-2">{saySide(step.side)}</strong>{" "}
              {t("phone.setOf", { set: step.set, of: step.of })}
            </>
          ) : (
            t("phone.comes", { what: `${item.name}, ${saySide(leg)}` })
          )}
        </p>
      </div>
      <ExerciseFigure
        key={`${item.itemId} ${leg}`}
        exercise={drawnAs(item)}
        prescription={prescription}
        heightM={view.heightM}
        side={leg === "both" ? view.involvedSide : leg}
        dose={prescription.dose}
        label={item.name}
        className="h-56 grow"
      />
      <p className="text-center text-xl font-medium">{isWork ? saySet(prescription) : ""}</p>
      {!skipping && (
        <p className="text-center text-7xl leading-none font-bold tabular-nums" role="timer" aria-live="off">
          {isWork && !going ? (dose?.reps?.top ?? Math.ceil(step.seconds)) : shown}
          <span className="block text-base font-normal">
            {t(isWork && (counts || (!going && dose?.reps)) ? "phone.times" : "phone.seconds")}
          </span>
        </p>
      )}
      {isWork && !going && !skipping && (
        <ul className="text-base-content/85 list-disc pl-6 text-base">
          {item.safety && <li className="font-medium">{item.safety}</li>}
          {item.cues.slice(0, 2).map((cue) => (
            <li key={cue}>{cue}</li>
          ))}
        </ul>
      )}
      {skipping ? (
        <fieldset className="flex flex-col gap-2">
          <legend className="mb-1 text-lg font-bold">{t("phone.skipTitle")}</legend>
          {skipReasons.map((why) => (
            <button
              key={why}
              type="button"
              className="btn phone-plain btn-lg"
              onClick={() => {
                setSkipping(false);
                move(stepsSkipped(run, steps, { itemId: item.itemId, why }));
              }}
            >
              {t(`phone.skip.${why}`)}
            </button>
          ))}
          <button type="button" className="btn btn-ghost btn-lg" onClick={() => setSkipping(false)}>
            {t("phone.goOn")}
          </button>
        </fieldset>
      ) : (
        <div className="sticky bottom-3 mt-auto flex flex-col gap-2">
          <div className="flex gap-2">
            <button
              type="button"
              className="btn phone-plain btn-lg h-auto min-h-14 flex-1"
              onClick={() => setSkipping(true)}
            >
              {t("phone.skip")}
            </button>
            {isWork && <TurnButtons run={run} item={item} going={going} onRun={move} />}
            {(going || !isWork) && (
              <button
                type="button"
                className="btn phone-plain btn-lg flex-1"
                onClick={() => setPaused(!paused)}
              >
                {paused ? <Play aria-hidden /> : <Pause aria-hidden />}
                {t(paused ? "phone.resume" : "phone.pause")}
              </button>
            )}
          </div>
          <button
            type="button"
            className="btn btn-primary min-h-20 text-2xl"
            onClick={isWork && !going ? begin : over}
          >
            {t(isWork ? (going ? "phone.setDone" : "phone.go") : "phone.ready")}
            <ChevronRight className="size-7" aria-hidden />
          </button>
        </div>
      )}
    </section>
  );
}
