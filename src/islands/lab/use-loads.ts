import { useEffect, useMemo, useRef, useState } from "react";
import type { AskedMovement, LoadedBody, LoadsOrNoFigure } from "~/catalogue/loads/loads-of";
import type { AskLoads, LoadsTold } from "~/workers/loads";

/** What was asked, in the order of the asking; null where the answer is awaited. */
export interface Asked {
  readonly loads: readonly (LoadsOrNoFigure | null)[];
  readonly done: number;
}

const makeWorker = () => new Worker(new URL("../../workers/loads.ts", import.meta.url), { type: "module" });

/**
 * Loads of movements, worked out beside the view so that it answers to the hand meanwhile. What was told once stays; a new
 * question ends the one before it.
 *
 * @param movements none asks nothing and ends what was asked
 */
export function useLoads(body: LoadedBody, movements: readonly AskedMovement[]): Asked {
  const { heightM, massKg, shankM = null, thighM = null } = body;
  const question = JSON.stringify(
    movements.map((movement) => keyOf({ heightM, massKg, shankM, thighM }, movement)),
  );
  const worker = useRef<Worker | null>(null);
  const run = useRef(0);
  const [told, setTold] = useState<ReadonlyMap<string, LoadsOrNoFigure>>(new Map());
  const known = useRef(told);

  useEffect(
    () => () => {
      worker.current?.terminate();
      worker.current = null;
    },
    [],
  );
  useEffect(() => {
    const open = (JSON.parse(question) as string[]).filter((key) => !known.current.has(key));
    if (open.length === 0 && !worker.current) return;
    worker.current ??= makeWorker();
    const mine = (run.current += 1);
    worker.current.onmessage = ({ data }: MessageEvent<LoadsTold>) => {
      const key = open[data.index];
      if (data.run !== mine || key === undefined) return;
      known.current = new Map(known.current).set(key, data.loads);
      setTold(known.current);
    };
    const asked = open.map((key) => JSON.parse(key) as [LoadedBody, AskedMovement]);
    worker.current.postMessage({
      run: mine,
      body: { heightM, massKg, shankM, thighM },
      movements: asked.map(([, movement]) => movement),
    } satisfies AskLoads);
  }, [question, heightM, massKg, shankM, thighM]);

  return useMemo(() => {
    const loads = (JSON.parse(question) as string[]).map((key) => told.get(key) ?? null);
    return { loads, done: loads.filter((answer) => answer !== null).length };
  }, [told, question]);
}

/** All that the loads depend on, and no more. */
const keyOf = (body: LoadedBody, { exercise: { id, drawnLike }, settings, loadKg }: AskedMovement): string =>
  JSON.stringify([body, { exercise: { id, drawnLike }, settings, loadKg } satisfies AskedMovement]);
