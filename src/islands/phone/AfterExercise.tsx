import { useState } from "react";
import type { PhoneItem } from "~/contract/phone";
import type { Prescription } from "~/core/exercise/prescription";
import { painSchool, type PainSchoolCode } from "~/core/response/pain-school";
import { painPatterns, painSites } from "~/core/response/session-record";
import PainPicker from "~/islands/frame/PainPicker";
import TapChoice from "~/islands/frame/TapChoice";
import { t } from "~/messages/say";
import type { Felt } from "~/workers/phone/run-state";

interface Props {
  item: PhoneItem;
  prescription: Prescription;
  school: PainSchoolCode;
  isLast: boolean;
  onTold: (felt: Felt) => void;
}

/** Two taps once an exercise is over: pain and how hard; where and when it hurt only if it did. */
export default function AfterExercise({ item, prescription, school, isLast, onTold }: Props) {
  const { dose } = prescription;
  const asked = dose.reps?.top ?? dose.contacts?.top ?? dose.hold?.top ?? dose.minutes ?? 0;
  const [pain, setPain] = useState<number | null>(null);
  const [effort, setEffort] = useState<number | null>(null);
  const [site, setSite] = useState<Felt["site"] | "">("");
  const [when, setWhen] = useState<NonNullable<Felt["with"]> | "">("");
  const [amount, setAmount] = useState(asked);
  const most = painSchool(school).goMax;
  const hurts = pain !== null && pain > 0;
  const tooMuch = hurts && pain > most && site === "episode";
  const ready = pain !== null && effort !== null && (!hurts || site !== "");
  const tell = () => {
    if (pain === null || effort === null) return;
    onTold({
      pain,
      effort,
      site: hurts && site !== "" ? site : "episode",
      ...(hurts && when !== "" ? { with: when } : {}),
      ...(amount === asked ? {} : { amount }),
    });
  };
  const unit = dose.reps || dose.contacts ? t("phone.times") : dose.hold ? t("phone.seconds") : "min";
  return (
    <section className="flex flex-1 flex-col gap-4 p-4 text-lg">
      <div>
        <h1 className="text-2xl font-bold">{t("phone.after")}</h1>
        <p className="text-base-content/80">{item.name}</p>
      </div>
      <PainPicker
        label={t("phone.afterPain")}
        name="pain"
        value={pain}
        onChange={setPain}
        ends={[t("phone.noPain"), t("phone.worstPain")]}
      />
      {hurts && (
        <TapChoice
          label={t("phone.where")}
          name="site"
          options={painSites.map((code) => [code, t(`phone.where.${code}`)] as const)}
          value={site}
          onChange={setSite}
        />
      )}
      {tooMuch && (
        <>
          <p className="border-warning rounded-box border-2 p-3 text-base">{t("phone.tooMuch", { most })}</p>
          <TapChoice
            label={t("phone.with")}
            name="when"
            options={painPatterns.map((code) => [code, t(`phone.with.${code}`)] as const)}
            value={when}
            onChange={setWhen}
          />
        </>
      )}
      <PainPicker
        label={t("phone.afterEffort")}
        name="effort"
        value={effort}
        onChange={setEffort}
        ends={[t("phone.effortLow"), t("phone.effortHigh")]}
      />
      <div className="flex items-center justify-between gap-2">
        <span className="font-medium">{t("phone.repsDone")}</span>
        <span className="flex items-center gap-2">
          <button
            type="button"
            className="btn phone-plain btn-square btn-lg"
            aria-label={t("phone.fewer")}
            disabled={amount <= 1}
            onClick={() => setAmount(amount - 1)}
          >
            −
          </button>
          <output className="w-24 text-center">
            <span className="text-2xl font-bold">{amount}</span>
            <span className="block text-sm">{unit}</span>
          </output>
          <button
            type="button"
            className="btn phone-plain btn-square btn-lg"
            aria-label={t("phone.more")}
            disabled={amount >= 2 * asked}
            onClick={() => setAmount(amount + 1)}
          >
            +
          </button>
        </span>
      </div>
      <button
        type="button"
        className="btn btn-primary btn-lg sticky bottom-3 mt-auto min-h-16 text-xl"
        disabled={!ready}
        onClick={tell}
      >
        {t(isLast ? "phone.finish" : "phone.nextExercise")}
      </button>
    </section>
  );
}
