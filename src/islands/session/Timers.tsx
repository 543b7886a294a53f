import { useEffect, useRef, useState } from "react";
import { Volume2, VolumeX } from "lucide-react";
import { steadyTempo, tempoSeconds } from "~/core/dose/tempo";
import { tempoPhaseAt } from "~/core/session/tempo-phase";
import { t } from "~/messages/say";
import type { SessionItem } from "./session-draft";

interface Running {
  readonly kind: "hold" | "tempo" | "rest";
  readonly seconds: number;
}

const tickMs = 100;

/** Hold, tempo and rest of the exercise in hand, one at a time; the end is shown, said and, if wanted, heard. */
export default function Timers({ item }: { item: SessionItem }) {
  const { dose } = item.prescription;
  const [running, setRunning] = useState<Running | null>(null);
  const [now, setNow] = useState(0);
  const [over, setOver] = useState(false);
  const [sound, setSound] = useState(true);
  const audio = useRef<AudioContext | null>(null);
  const tempo = dose.tempo ?? steadyTempo;
  const reps = dose.reps?.top ?? 0;

  useEffect(() => {
    if (!running) return;
    const began = performance.now();
    const timer = setInterval(() => {
      const passed = (performance.now() - began) / 1000;
      setNow(passed);
      if (passed < running.seconds) return;
      setRunning(null);
      setOver(true);
      if (sound) beep(audio);
    }, tickMs);
    return () => clearInterval(timer);
  }, [running, sound]);

  const start = (kind: Running["kind"], seconds: number) => {
    audio.current ??= new AudioContext();
    setOver(false);
    setNow(0);
    setRunning({ kind, seconds });
  };
  const offers: [Running["kind"], number, string][] = [
    ...(dose.hold
      ? [
          ["hold", dose.hold.top, t("timer.hold", { seconds: dose.hold.top })] as [
            Running["kind"],
            number,
            string,
          ],
        ]
      : []),
    ...(dose.reps
      ? [
          ["tempo", reps * tempoSeconds(tempo), t("timer.tempo", { tempo })] as [
            Running["kind"],
            number,
            string,
          ],
        ]
      : []),
    ["rest", dose.restSeconds, t("timer.rest", { seconds: dose.restSeconds })],
  ];
  const moment = running?.kind === "tempo" ? tempoPhaseAt(tempo, now) : null;
  return (
    <section
      className="bg-base-100 border-base-300 rounded-box border p-3"
      aria-label={t("timer.title")}
      data-testid="timers"
    >
      <div className="flex items-center justify-between">
        <h2 className="font-semibold">{t("timer.title")}</h2>
        <button
          type="button"
          className="btn btn-ghost btn-square"
          aria-pressed={sound}
          aria-label={t("timer.sound")}
          onClick={() => setSound(!sound)}
        >
          {sound ? <Volume2 className="size-5" aria-hidden /> : <VolumeX className="size-5" aria-hidden />}
        </button>
      </div>
      <p className="my-2 text-center text-5xl font-semibold tabular-nums" data-testid="timer-face">
        {running ? Math.ceil(moment ? moment.secondsLeft : running.seconds - now) : over ? "0" : "–"}
      </p>
      <p className="min-h-6 text-center" role="status">
        {moment && `${t(`timer.${moment.phase}`)} · ${t("timer.rep", { done: moment.done, reps })}`}
        {!running && over && t("timer.over")}
      </p>
      {running && (
        <progress
          className="progress progress-primary w-full"
          value={now}
          max={running.seconds}
          aria-hidden
        />
      )}
      <div className="mt-2 flex flex-col gap-2">
        {offers.map(([kind, seconds, words]) => (
          <button
            key={kind}
            type="button"
            className={`btn ${running?.kind === kind ? "btn-neutral" : ""}`}
            onClick={() => (running?.kind === kind ? setRunning(null) : start(kind, seconds))}
          >
            {running?.kind === kind ? t("timer.stop") : words}
          </button>
        ))}
      </div>
    </section>
  );
}

/** Two short tones. */
function beep(audio: React.RefObject<AudioContext | null>): void {
  const context = audio.current;
  if (!context) return;
  for (const [delay, frequency] of [
    [0, 660],
    [0.25, 880],
  ] as const) {
    const tone = context.createOscillator();
    const volume = context.createGain();
    tone.frequency.value = frequency;
    volume.gain.value = 0.2;
    tone.connect(volume).connect(context.destination);
    tone.start(context.currentTime + delay);
    tone.stop(context.currentTime + delay + 0.18);
  }
}
