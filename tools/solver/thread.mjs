// A thread that has the solver, so that whoever asks goes on answering others meanwhile.
import { parentPort } from "node:worker_threads";
import loadHighs from "highs";
import { openSession } from "./session.mjs";

const loading = loadHighs();
let session = null;

const acts = {
  open: async (program) => {
    session = openSession(await loading, program);
  },
  minimise: (...asked) => session.minimise(...asked),
  addRow: (row) => session.addRow(row),
  close: async () => {
    await session?.close();
    session = null;
  },
};

parentPort.on("message", async ({ act, asked }) => {
  try {
    parentPort.postMessage({ answer: await acts[act](...asked) });
  } catch (error) {
    parentPort.postMessage({ fault: String(error) });
  }
});
