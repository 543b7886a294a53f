import { packTrace, type KeptTrace } from "~/core/device/pack-trace";
import type { TakenTrace } from "~/core/device/force-trial";
import { readForceFile, type ForceFileRead } from "~/core/device/read-force-file";
import { measuredTrial, type MeasuredTrial, type TrialGoal } from "~/core/device/taken-by";

/** A trial to be read, and packed to be kept. */
export interface AskTrial {
  readonly run: number;
  readonly goal: TrialGoal;
  readonly trace: TakenTrace;
  readonly about: Pick<KeptTrace, "device" | "unit">;
}

export interface TrialTold {
  readonly run: number;
  readonly trial: MeasuredTrial;
  readonly kept: KeptTrace;
}

/** The text of a file, to be read as a trace. */
export interface AskFile {
  readonly run: number;
  readonly text: string;
}

export interface FileTold {
  readonly run: number;
  readonly read: ForceFileRead;
}

self.addEventListener("message", ({ data }: MessageEvent<AskTrial | AskFile>) => {
  if ("text" in data) {
    const told: FileTold = { run: data.run, read: readForceFile(data.text) };
    return self.postMessage(told);
  }
  const { run, goal, trace, about } = data;
  const kept = packTrace(trace.values, { ...about, sampleHz: trace.sampleHz });
  const told: TrialTold = { run, trial: measuredTrial(goal, trace), kept };
  self.postMessage(told);
});
