import type { SampleUnit } from "~/core/device/device-message";
import { bytes, id, instant, number, text } from "./column";
import { fact } from "./fact";

/** What a device told while one trial of a result was taken. */
export const traces = fact({
  table: "result_traces",
  columns: {
    id: id("id"),
    resultId: id("result_id"),
    trial: number("trial"),
    device: text("device"),
    unit: text<SampleUnit>("unit"),
    sampleHz: number("sample_hz"),
    step: number("step"),
    data: bytes("samples"),
    recordedAt: instant("recorded_at"),
  },
  order: ["recorded_at", "result_id", "trial"],
  inCase: false,
});
