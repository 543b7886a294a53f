import { later } from "~/islands/frame/later";
import type { FigureProps } from "./MovingFigure";

/** The figure of a variant. What draws figures comes after the view it stands in, which answers to the hand without it. */
export default later<FigureProps>(
  () => import("./MovingFigure"),
  ({ className }) => <div className={className} aria-hidden />,
);
