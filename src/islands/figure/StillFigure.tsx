import FigureDrawing from "./FigureDrawing";
import { useFigure, type Shown } from "./use-figure";

/** A figure at its hard end, still. */
export default function StillFigure(shown: Shown) {
  const state = useFigure(shown);
  if (!state.ok) return null;
  const { keys, timing } = state.figure;
  const place = timing.kind === "sequence" ? Math.min(1, keys.length - 1) : keys.length - 1;
  return <FigureDrawing {...state} place={place} className="h-full w-full" />;
}
