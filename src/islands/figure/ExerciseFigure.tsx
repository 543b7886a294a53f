import { lazy, Suspense } from "react";
import type { FigureProps } from "./MovingFigure";

const MovingFigure = lazy(() => import("./MovingFigure"));

/** The figure of a variant. What draws figures comes after the view it stands in, which answers to the hand without it. */
export default function ExerciseFigure(props: FigureProps) {
  return (
    <Suspense fallback={<div className={props.className} aria-hidden />}>
      <MovingFigure {...props} />
    </Suspense>
  );
}
