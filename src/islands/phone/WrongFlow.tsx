import { useState } from "react";
import { v7 as uuid } from "uuid";
import type { PhoneItem, PhoneSignalBody, PhoneView } from "~/contract/phone";
import { needsExercise, stopSignal, type StopSignalCode } from "~/core/intake/stop-signal";
import { t } from "~/messages/say";
import { stopsAll } from "~/workers/phone/stops-all";
import { saySign, sayWhenToCall } from "./say-sign";

/** Signs that a patient can tell, the gravest first. */
const signs: readonly StopSignalCode[] = [
  "chest-breath-faint",
  "saddle-bladder",
  "nerve-worse",
  "sudden-pop",
  "cannot-lift-leg",
  "knee-locked",
  "calf-hot",
  "infection",
  "leg-nerve",
  "gives-way",
  "pinch-or-block",
  "sit-bone-tear",
  "bone-stress",
  "groin-hop-night",
  "leg-pain-standing",
  "night-weight-cancer",
  "dizziness",
];
interface Props {
  view: PhoneView;
  items: readonly PhoneItem[];
  /** The exercise in hand, where it happens in one. */
  inHand: string | null;
  onTold: (sign: Omit<PhoneSignalBody, "sentAt">) => void;
  onLeave: () => void;
}

/** 'Something is wrong': a tap says what, and at once stands there whom to call; told to the clinic when it can be. */
export default function WrongFlow({ view, items, inHand, onTold, onLeave }: Props) {
  const [id] = useState(() => uuid());
  const [code, setCode] = useState<StopSignalCode | null>(null);
  const [told, setTold] = useState(false);
  const [none, setNone] = useState(false);
  const tell = (sign: StopSignalCode, itemId: string | null) => {
    const body = { id, code: sign, occurredAt: new Date().toISOString(), ...(itemId ? { itemId } : {}) };
    setTold(true);
    onTold(body);
  };
  const choose = (sign: StopSignalCode) => {
    setCode(sign);
    if (!needsExercise(sign) || inHand !== null) tell(sign, needsExercise(sign) ? inHand : null);
  };
  if (code !== null && !told)
    return (
      <section className="flex flex-1 flex-col gap-2 p-4 text-lg">
        <h1 className="text-2xl font-bold">{t("phone.wrongWhere")}</h1>
        {items.map(({ itemId, name }) => (
          <button
            key={itemId}
            type="button"
            className="btn phone-plain btn-lg h-auto min-h-14 justify-start py-2 text-left font-medium"
            onClick={() => tell(code, itemId)}
          >
            {name}
          </button>
        ))}
      </section>
    );
  if (code !== null) {
    const { urgency } = stopSignal(code);
    return (
      <section className="flex flex-1 flex-col gap-4 p-4 text-lg" role="alert">
        <h1 className="text-error text-3xl font-bold">{sayWhenToCall(urgency)}</h1>
        <p className="border-error rounded-box border-4 p-4 text-2xl font-bold">
          <Call words={view.calls[urgency]} />
        </p>
        <p>{saySign(code)}</p>
        <p className="font-semibold">{t(stopsAll(code) ? "phone.stopAll" : "phone.stopOne")}</p>
        <p>{t(navigator.onLine ? "phone.wrongKept" : "phone.wrongLater")}</p>
        <button type="button" className="btn phone-plain btn-lg mt-auto min-h-16" onClick={onLeave}>
          {t("phone.back")}
        </button>
      </section>
    );
  }
  return (
    <section className="flex flex-1 flex-col gap-2 p-4 text-lg">
      <h1 className="text-2xl font-bold">{t("phone.wrongTitle")}</h1>
      <p>{t("phone.wrongSays")}</p>
      {none && (
        <p role="status" className="border-warning rounded-box border-2 p-3">
          {t("phone.wrongNoneSays")} {view.calls.review}
        </p>
      )}
      {signs.map((sign) => (
        <button
          key={sign}
          type="button"
          className="btn phone-plain h-auto min-h-14 justify-start py-2 text-left text-lg leading-snug font-medium"
          onClick={() => choose(sign)}
        >
          {saySign(sign)}
        </button>
      ))}
      <div className="bg-base-200 sticky bottom-0 flex gap-2 py-2">
        <button
          type="button"
          className="btn phone-plain btn-lg flex-1"
          onClick={() => (none ? onLeave() : setNone(true))}
        >
          {t(none ? "phone.back" : "phone.wrongNone")}
        </button>
      </div>
    </section>
  );
}

/** Words with a number in them that can be tapped to call it. */
function Call({ words }: { words: string }) {
  const number = /\+?\d[\d ()/-]{1,}\d/.exec(words)?.[0];
  if (!number) return <>{words}</>;
  const [before, after] = words.split(number, 2);
  return (
    <>
      {before}
      <a className="link whitespace-nowrap" href={`tel:${number.replace(/[^\d+]/g, "")}`}>
        {number}
      </a>
      {after}
    </>
  );
}
