import type { HandoutView } from "~/contract/handout";
import type { PhoneItem } from "~/contract/phone";
import ExerciseFigure from "~/islands/figure/ExerciseFigure";
import { sayAmount, sayTimes } from "~/messages/say-handout";
import { t } from "~/messages/say";
import { drawnAs } from "~/islands/phone/drawn-as";

interface Props {
  item: PhoneItem;
  number: number;
  handout: Pick<HandoutView, "heightM" | "involvedSide">;
}

/** An exercise on paper: its two ends drawn, how much, how often, what to mind. */
export default function HandoutItem({ item, number, handout }: Props) {
  const { prescription, sides, first } = item;
  return (
    <li className="handout-item">
      <ExerciseFigure
        exercise={drawnAs(item)}
        prescription={prescription}
        heightM={handout.heightM}
        side={sides === "both-together" ? handout.involvedSide : first}
        dose={prescription.dose}
        label={item.name}
        moves={false}
        className="handout-figure"
      />
      <div>
        <h3>
          {number}. {item.name}
        </h3>
        {item.stopped && <p className="font-bold">{t("handout.stopped")}</p>}
        <p className="font-semibold">{sayAmount(item)}</p>
        <p>{sayTimes(item)}</p>
        <ul className="list-disc pl-5">
          {item.safety && <li className="font-medium">{item.safety}</li>}
          {item.cues.map((cue) => (
            <li key={cue}>{cue}</li>
          ))}
          {item.caution && <li>{item.caution}</li>}
        </ul>
      </div>
    </li>
  );
}
