import { useMemo } from "react";
import type { LoadsAt } from "~/core/load/movement-loads";
import { resolveFigure } from "~/core/figure/resolve-figure";
import FigureDrawing from "~/islands/figure/FigureDrawing";
import type { Shown } from "~/islands/figure/use-figure";
import { t } from "~/messages/say";
import Levers from "./Levers";
import { useSideFigure } from "./use-side-figure";

interface Props extends Shown {
  /** What it shows, in words. */
  label: string;
  title: string;
  /** The moment that is shown; null where nothing is known of it yet. */
  moment: LoadsAt | null;
  numbers: boolean;
}

/** A person in one form of a movement from the side, with what turns at knee and hip. */
export default function LoadedFigure({ label, title, moment, numbers, ...shown }: Props) {
  const state = useSideFigure(shown);
  const place = moment?.place ?? 0;
  const drawn = useMemo(
    () => (state.ok ? resolveFigure(state.body, state.figure, place) : null),
    [state, place],
  );
  if (!state.ok || !drawn?.ok) return null;
  return (
    <figure className="flex h-full min-w-0 flex-1 flex-col">
      <FigureDrawing
        {...state}
        place={place}
        label={label}
        className="min-h-0 w-full flex-1 overflow-visible"
      >
        {moment && <Levers body={drawn.body} loads={moment} left={state.look.left} numbers={numbers} />}
      </FigureDrawing>
      <figcaption className="text-center text-sm font-semibold">
        {title} · {t(state.look.left ? "figure.leftSide" : "figure.rightSide")}
      </figcaption>
    </figure>
  );
}
