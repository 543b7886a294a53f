import type { HandoutView } from "~/contract/handout";
import type { PhoneItem } from "~/contract/phone";
import FigureDrawing from "~/islands/figure/FigureDrawing";
import { framesOf } from "~/islands/figure/frames-of";
import { useFigure } from "~/islands/figure/use-figure";
import { drawnAs } from "~/islands/phone/drawn-as";
import { sayAmount, sayTimes } from "~/messages/say-handout";
import type { Speaker } from "~/messages/speaker";

interface Props {
  item: PhoneItem;
  /** As it is called on this sheet. */
  name: string;
  number: number;
  handout: Pick<HandoutView, "heightM" | "involvedSide">;
  say: Speaker;
}

/** An exercise on paper: its two ends drawn, how much, how often, what to mind. */
export default function HandoutItem({ item, name, number, handout, say }: Props) {
  return (
    <li className="handout-item">
      <ItemFigure item={item} name={name} handout={handout} say={say} />
      <div>
        <h3>
          {number}. {name}
        </h3>
        {item.stopped && <p className="font-bold">{say.t("handout.stopped")}</p>}
        <p className="font-semibold">{sayAmount(item, say)}</p>
        <p>{sayTimes(item, say)}</p>
        <ul className="list-disc pl-5">
          {item.safety && <li className="font-medium">{say.text(item.safety)}</li>}
          {item.cues.map((cue) => (
            <li key={cue}>{say.text(cue)}</li>
          ))}
          {item.caution && <li>{say.text(item.caution)}</li>}
        </ul>
      </div>
    </li>
  );
}

function ItemFigure({ item, name, handout, say }: Omit<Props, "number">) {
  const { prescription, sides, first } = item;
  const state = useFigure({
    exercise: drawnAs(item),
    prescription,
    heightM: handout.heightM,
    side: sides === "both-together" ? handout.involvedSide : first,
  });
  if (!state.ok) return <div className="handout-figure" />;
  return (
    <figure className="handout-figure flex flex-col" data-testid="figure">
      <div className="flex min-h-0 w-full flex-1 items-end justify-center gap-2" role="img" aria-label={name}>
        {framesOf(state.figure).map((place) => (
          <FigureDrawing key={place} {...state} place={place} className="h-full min-w-0 flex-1" />
        ))}
      </div>
      <figcaption className="text-center text-xs">
        {say.t(state.look.left ? "figure.leftSide" : "figure.rightSide")}
      </figcaption>
    </figure>
  );
}
