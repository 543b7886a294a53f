import path from "node:path";
import { Worker } from "node:worker_threads";
import { ApiProblem } from "~/server/http/problem";
import type { Mip, MipAnswer, MipSession, OpenSolver } from "~/core/week/mip";

/** Where the thread's file lies: processes of the product run in its folder. */
const threadFile = () => path.resolve("tools/solver/thread.mjs");

/** So many programs are solved at a time; others wait for a thread. */
const mostThreads = 2;
/** More than these are told to come again: each of them would wait longer than anybody does. */
const mostWaiting = 20;
/** Threads that have loaded the solver and wait for a program. */
const idle: Worker[] = [];
const waiting: ((worker: Worker) => void)[] = [];
let threads = 0;

/** Solves integer programs in threads beside this one, which goes on answering meanwhile. */
export const openSolver: OpenSolver = async (mip: Mip): Promise<MipSession> => {
  const worker = await take();
  const ask = <T>(act: string, ...asked: unknown[]) => answerOf<T>(worker, act, asked);
  try {
    await ask("open", mip);
  } catch (error) {
    drop(worker);
    throw error;
  }
  return {
    minimise: (...asked) => ask<MipAnswer>("minimise", ...asked),
    addRow: (row) => ask<undefined>("addRow", row),
    close: async () => {
      try {
        await ask<undefined>("close");
        giveBack(worker);
      } catch {
        drop(worker);
      }
    },
  };
};

function take(): Promise<Worker> {
  const worker = idle.pop();
  if (worker) {
    worker.ref();
    return Promise.resolve(worker);
  }
  if (threads < mostThreads) {
    threads += 1;
    return Promise.resolve(new Worker(threadFile()));
  }
  if (waiting.length >= mostWaiting)
    return Promise.reject(
      new ApiProblem(503, "busy", "Too many weeks are being planned. Try again in a minute."),
    );
  return new Promise((resolve) => waiting.push(resolve));
}

function giveBack(worker: Worker): void {
  const next = waiting.shift();
  if (next) return next(worker);
  // A process that has nothing else to do may end.
  worker.unref();
  idle.push(worker);
}

/** A thread whose solver failed is not asked again. */
function drop(worker: Worker): void {
  void worker.terminate();
  threads -= 1;
  const next = waiting.shift();
  if (!next) return;
  threads += 1;
  next(new Worker(threadFile()));
}

function answerOf<T>(worker: Worker, act: string, asked: readonly unknown[]): Promise<T> {
  return new Promise((resolve, reject) => {
    const done = () => {
      worker.off("message", told);
      worker.off("error", failed);
    };
    const told = (message: { answer?: T; fault?: string }) => {
      done();
      if (message.fault === undefined) resolve(message.answer as T);
      else reject(new Error(message.fault));
    };
    const failed = (error: unknown) => {
      done();
      reject(error instanceof Error ? error : new Error(String(error)));
    };
    worker.on("message", told);
    worker.on("error", failed);
    worker.postMessage({ act, asked });
  });
}
