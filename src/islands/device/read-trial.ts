import type { ForceFileRead } from "~/core/device/read-force-file";
import type { AskFile, AskTrial, FileTold, TrialTold } from "~/workers/traces";

let worker: Worker | null = null;
let runs = 0;

/** Reads a trial beside the view, which goes on drawing meanwhile. */
export const readTrial = (asked: Omit<AskTrial, "run">): Promise<TrialTold> => ask<TrialTold>(asked);

/** Reads the text of a file as a trace, beside the view. */
export const readFile = async (text: string): Promise<ForceFileRead> =>
  (await ask<FileTold>({ text } satisfies Omit<AskFile, "run">)).read;

function ask<T extends { readonly run: number }>(asked: object): Promise<T> {
  worker ??= new Worker(new URL("../../workers/traces.ts", import.meta.url), { type: "module" });
  const [run, by] = [(runs += 1), worker];
  return new Promise((resolve) => {
    const told = ({ data }: MessageEvent<T>) => {
      if (data.run !== run) return;
      by.removeEventListener("message", told);
      resolve(data);
    };
    by.addEventListener("message", told);
    by.postMessage({ run, ...asked });
  });
}
