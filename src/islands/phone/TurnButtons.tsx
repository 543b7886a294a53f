import type { DayChange, PhoneItem } from "~/contract/phone";
import { label, t } from "~/messages/say";
import { sayKnobValue } from "~/messages/say-knob-value";
import { turnedIn, withTurned, type RunState } from "~/workers/phone/run-state";

interface Props {
  run: RunState;
  item: PhoneItem;
  /** A set is under way: less can be asked of it, more cannot. */
  going: boolean;
  onRun: (run: RunState) => void;
}

/** Easier, or where the clinic allows it harder, for today: pressed once more it is as planned again. */
export default function TurnButtons({ run, item, going, onRun }: Props) {
  const turned = turnedIn(run, item.itemId);
  const button = (to: "easier" | "harder", change: DayChange) => (
    <button
      key={to}
      type="button"
      className="btn phone-plain btn-lg h-auto min-h-14 flex-1 flex-col gap-0 px-2 leading-tight"
      aria-pressed={turned === to}
      onClick={() => {
        const next = withTurned(run, item.itemId, turned === to ? "planned" : to);
        if (next) onRun(next);
      }}
    >
      {t(turned === to ? "phone.usual" : `phone.${to}`)}
      {turned !== to && (
        <span className="text-sm font-normal">
          {label("knob", change.knob)}: {sayKnobValue(change.knob, change.to)}
        </span>
      )}
    </button>
  );
  return (
    <>
      {item.easier && turned !== "harder" && button("easier", item.easier)}
      {item.harder && turned !== "easier" && !going && button("harder", item.harder)}
    </>
  );
}
