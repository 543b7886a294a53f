import { randomLcg, randomNormal } from "d3";
import type { DeviceKind, Hello, TrialEvent } from "./device-message";

/** What a stand-in is asked to play: a trial that goes as it should, or one that does not. */
export interface Played {
  readonly kind: DeviceKind;
  readonly event: TrialEvent;
  /** The most that is pulled or squeezed, in the device's unit; how high is jumped, centimetres. */
  readonly peak: number;
  readonly seed: number;
}

const v = 1 as const;
const mostN = 1200;

/** Who the stand-ins say they are. Invented; no device's name. */
export const standIns: Readonly<Record<DeviceKind, Hello>> = {
  dynamometer: {
    v,
    type: "hello",
    kind: "dynamometer",
    name: "Stand-in dynamometer",
    serial: "S-1",
    unit: "N",
    sampleHz: 1000,
    most: mostN,
  },
  cuff: {
    v,
    type: "hello",
    kind: "cuff",
    name: "Stand-in cuff",
    serial: "S-2",
    unit: "mm[Hg]",
    sampleHz: 100,
    most: 400,
  },
  mat: {
    v,
    type: "hello",
    kind: "mat",
    name: "Stand-in jump mat",
    serial: "S-3",
    unit: "contact",
    sampleHz: 1000,
  },
  scale: {
    v,
    type: "hello",
    kind: "scale",
    name: "Stand-in luggage scale",
    serial: "S-4",
    unit: "N",
    sampleHz: 100,
    most: 500,
  },
};

/** What is pulled, squeezed or jumped where nobody says. */
export const usualPeak: Readonly<Record<DeviceKind, number>> = {
  dynamometer: 320,
  cuff: 180,
  mat: 14,
  scale: 60,
};

const gravity = 9.81;
/** Seconds of a pull: quiet, rising, held, let go, quiet again. */
const pull = { quiet: 1.2, rise: 0.35, hold: 4, release: 0.3, after: 0.6 } as const;
/** Noise of a device, in its unit; drift of its zero, a second. */
const noise = {
  of: { dynamometer: 0.3, cuff: 0.2, mat: 0, scale: 0.1 },
  tremor: 0.008,
  drift: 0.05,
} as const;
/** How what is pulled shakes, as a share: a muscle, or a band. */
const tremor: Readonly<Record<DeviceKind, number>> = {
  dynamometer: 0.008,
  cuff: 0.008,
  mat: 0,
  scale: 0.001,
};
/** A cuff is blown up before it is squeezed. */
const cuffBegins = 20;

/**
 * The samples of one trial as a stand-in plays it, at its own rate. The same seed plays the same trial.
 *
 * @returns in the device's unit; of a mat 1 while somebody stands on it, else 0. Of a dead battery, what came before it died.
 * @example standInTrial({ kind: "mat", event: "clean", peak: 14, seed: 1 })[0] // 1
 * Source: our own; shapes of pulls common practice.
 */
export function standInTrial(played: Played): number[] {
  const samples = played.kind === "mat" ? jump(played) : force(played);
  return played.event === "battery" ? samples.slice(0, Math.floor(samples.length * 0.45)) : samples;
}

function force({ kind, event, peak, seed }: Played): number[] {
  const { sampleHz, most = Infinity } = standIns[kind];
  const lots = randomLcg(seed / 1009);
  const normal = randomNormal.source(lots)(0, 1);
  const total = pull.quiet + pull.rise + pull.hold + pull.release + pull.after;
  const begins = kind === "cuff" ? cuffBegins : lots() * 4 - 2;
  const strength = (event === "saturated" ? 1.6 * most : peak) - (kind === "cuff" ? cuffBegins : 0);
  return Array.from({ length: Math.round(total * sampleHz) }, (_, n) => {
    const t = n / sampleHz;
    const share = shapeOf(event, t) * (1 + tremor[kind] * normal());
    const told = begins + noise.drift * t + strength * share + noise.of[kind] * normal();
    return Math.round(Math.min(most, told) * 100) / 100;
  });
}

/** How much of the most is pulled at a moment of a trial, 0 to 1. */
function shapeOf(event: TrialEvent, t: number): number {
  const held = smooth((t - pull.quiet) / pull.rise);
  const gone = smooth((t - pull.quiet - pull.rise - pull.hold) / pull.release);
  const dip = (at: number, long: number, deep: number) =>
    1 - deep * (smooth((t - at) / 0.08) - smooth((t - at - long) / 0.15));
  const early = event === "early" ? 0.12 * bump((t - pull.quiet + 0.45) / 0.3) : 0;
  const slip = event === "slipped" ? dip(pull.quiet + 0.8, 0.25, 0.7) : 1;
  const double = event === "double-peak" ? dip(pull.quiet + 1.5, 0.5, 0.2) : 1;
  return Math.max(early, held * (1 - gone) * slip * double);
}

const smooth = (x: number) => {
  const to = Math.min(1, Math.max(0, x));
  return to * to * (3 - 2 * to);
};
const bump = (x: number) => (x <= 0 || x >= 1 ? 0 : Math.sin(Math.PI * x));

/** On the mat, off it, on it again; then for a drop jump on and off once more. A slipped landing touches twice. */
function jump({ event, peak, seed }: Played): number[] {
  const { sampleHz } = standIns.mat;
  const lots = randomLcg(seed / 1009);
  const flight = Math.sqrt((8 * (peak / 100)) / gravity);
  const phases: (readonly [seconds: number, on: boolean])[] = [
    [0.8 + 0.2 * lots(), true],
    [flight, false],
    ...(event === "slipped" || event === "double-peak"
      ? ([
          [0.06, true],
          [0.05, false],
        ] as const)
      : []),
    [0.22 + 0.02 * lots(), true],
    [flight * 0.9, false],
    [1, true],
  ];
  return phases.flatMap(([seconds, on]) =>
    Array.from({ length: Math.round(seconds * sampleHz) }, () => (on ? 1 : 0)),
  );
}
