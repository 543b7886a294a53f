import {
  loadsOf,
  type AskedMovement,
  type LoadedBody,
  type LoadsOrNoFigure,
} from "~/catalogue/loads/loads-of";

/** Asks for the loads of movements, in order; a later ask ends the one before it. */
export interface AskLoads {
  readonly run: number;
  readonly body: LoadedBody;
  readonly movements: readonly AskedMovement[];
}

/** One answer at a time, so that what asked can show how far it is. */
export interface LoadsTold {
  readonly run: number;
  readonly index: number;
  readonly loads: LoadsOrNoFigure;
}

let latest = 0;

/** Lets a newer ask come in between two movements. */
const breath = () => new Promise((resolve) => setTimeout(resolve));

self.addEventListener("message", (event: MessageEvent<AskLoads>) => {
  void answer(event.data);
});

async function answer({ run, body, movements }: AskLoads): Promise<void> {
  latest = run;
  for (const [index, movement] of movements.entries()) {
    if (run !== latest) return;
    const told: LoadsTold = { run, index, loads: loadsOf(body, movement) };
    self.postMessage(told);
    await breath();
  }
}
