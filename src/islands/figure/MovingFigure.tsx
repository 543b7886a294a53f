import { Pause, Play } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import type { Dose } from "~/core/dose/dose";
import { t } from "~/messages/say";
import FigureDrawing from "./FigureDrawing";
import { framesOf } from "./frames-of";
import { moveFigure } from "./move-figure";
import { useCalm } from "./use-calm";
import { useFigure, type Shown } from "./use-figure";

export interface FigureProps extends Shown {
  dose: Pick<Dose, "tempo" | "hold">;
  label: string;
  /** Moves as soon as it is shown, where the person has nothing against motion. */
  moves?: boolean;
  className?: string;
}

/** A variant in motion at its own tempo; two still frames on paper and for those who want no motion. */
export default function MovingFigure({ dose, label, moves = true, className = "", ...shown }: FigureProps) {
  const state = useFigure(shown);
  const drawing = useRef<SVGSVGElement>(null);
  const calm = useCalm();
  const [asked, setAsked] = useState<boolean | null>(null);
  const playing = asked ?? (moves && !calm);
  const { tempo, hold } = dose;
  const still = !state.ok || state.figure.keys.length < 2;

  useEffect(() => {
    if (!playing || !state.ok || still || !drawing.current) return;
    const { body, figure, look } = state;
    return moveFigure(drawing.current, { body, figure, look, dose: { tempo, hold } });
  }, [playing, state, still, tempo, hold]);

  if (!state.ok) {
    return (
      <p className={`text-warning flex items-center text-sm ${className}`} data-testid="no-figure">
        {state.why ? t("figure.cannot", { why: state.why }) : t("figure.none")}
      </p>
    );
  }
  const frames = framesOf(state.figure);
  const side = t(state.look.left ? "figure.leftSide" : "figure.rightSide");
  return (
    <figure className={`relative flex flex-col ${className}`} data-testid="figure">
      {playing ? (
        <FigureDrawing
          {...state}
          key={JSON.stringify([shown.prescription.settings, shown.heightM, shown.side])}
          place={0}
          label={label}
          drawing={drawing}
          className="min-h-0 w-full flex-1 print:hidden"
        />
      ) : null}
      <div
        className={`min-h-0 w-full flex-1 items-end justify-center gap-2 ${playing ? "hidden print:flex" : "flex"}`}
        {...(playing ? {} : { role: "img", "aria-label": label })}
      >
        {frames.map((place) => (
          <FigureDrawing key={place} {...state} place={place} className="h-full min-w-0 flex-1" />
        ))}
      </div>
      <figcaption className="text-base-content/75 text-center text-xs">{side}</figcaption>
      {!still && (
        <button
          type="button"
          className="btn btn-ghost btn-square absolute top-0 right-0 print:hidden"
          aria-label={t(playing ? "figure.pause" : "figure.play")}
          onClick={() => setAsked(!playing)}
        >
          {playing ? <Pause className="size-5" aria-hidden /> : <Play className="size-5" aria-hidden />}
        </button>
      )}
    </figure>
  );
}
