import type { HandoutView } from "~/contract/handout";
import type { PhoneItem } from "~/contract/phone";
import ExerciseFigure from "~/islands/figure/ExerciseFigure";
import { saySet, saySide } from "~/messages/say-set";
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
  const { dose } = prescription;
  return (
    <li className="handout-item">
      <ExerciseFigure
        exercise={drawnAs(item)}
        prescription={prescription}
        heightM={handout.heightM}
        side={sides === "both-together" ? handout.involvedSide : first}
        dose={dose}
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
        <p>
          {[
            sides === "each-side" ? t("handout.first", { leg: saySide(first) }) : "",
            sides === "one-side" ? t("handout.only", { leg: saySide(first) }) : "",
            dose.restSeconds > 0 && dose.sets > 1 ? t("handout.rest", { seconds: dose.restSeconds }) : "",
            t("handout.days", { days: dose.daysPerWeek }),
            dose.boutsPerDay && dose.boutsPerDay > 1 ? t("handout.bouts", { bouts: dose.boutsPerDay }) : "",
          ]
            .filter(Boolean)
            .join("; ")}
        </p>
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

/** How much, in words: 3 sets of 12 times, 10 kg, slowly: 3 s down, 1 s up. */
function sayAmount({ prescription }: PhoneItem): string {
  const { sets, tempo } = prescription.dose;
  const [down, , up] = tempo?.split("-") ?? [];
  const isSlow = Number(down) > 2 || Number(up) > 2;
  const pace = isSlow ? `, ${t("handout.slow", { down: down ?? "", up: up ?? "" })}` : "";
  return `${t("handout.sets", { sets, work: saySet(prescription) })}${pace}`;
}
