import { useMemo } from "react";
import { figureExtent } from "~/core/figure/draw-figure";
import { useFigure, type FigureState, type Shown } from "~/islands/figure/use-figure";

/** A figure as it is seen straight from the side, where levers have their true length. */
export function useSideFigure(shown: Shown): FigureState {
  const state = useFigure(shown);
  return useMemo((): FigureState => {
    if (!state.ok) return state;
    const figure = { ...state.figure, viewDeg: 0 };
    const measured = figureExtent(state.body, figure, state.look);
    return measured.ok ? { ...state, figure, extent: measured.extent } : measured;
  }, [state]);
}
