import { tableCells, type CellsRead } from "~/core/table/table-cells";

/** The bytes of a file, to be read as a table. */
export interface AskTable {
  readonly bytes: Uint8Array;
}

self.addEventListener("message", ({ data }: MessageEvent<AskTable>) => {
  void tableCells(data.bytes).then((read: CellsRead) => self.postMessage(read));
});
