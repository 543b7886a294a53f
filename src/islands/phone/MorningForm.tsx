import { useState } from "react";
import { v7 as uuid } from "uuid";
import { swellings } from "~/core/response/session-record";
import PainPicker from "~/islands/frame/PainPicker";
import TapChoice from "~/islands/frame/TapChoice";
import { sayDate, t } from "~/messages/say";
import type { Waiting } from "~/workers/phone/phone-store";

const stiffness = ["0", "15", "30", "60"] as const;

interface Props {
  trainingDate: string;
  onTold: (what: Waiting) => void;
  onLeave: () => void;
}

/** The morning after, in three taps. */
export default function MorningForm({ trainingDate, onTold, onLeave }: Props) {
  const [id] = useState(() => uuid());
  const [pain, setPain] = useState<number | null>(null);
  const [stiff, setStiff] = useState<(typeof stiffness)[number] | "">("");
  const [swelling, setSwelling] = useState<(typeof swellings)[number] | "">("");
  const save = () => {
    if (pain === null) return;
    onTold({
      name: "tellMorning",
      body: {
        id,
        occurredAt: new Date().toISOString(),
        trainingDate,
        pain,
        ...(stiff === "" ? {} : { stiffnessMinutes: Number(stiff) }),
        ...(swelling === "" ? {} : { swelling }),
      },
    });
  };
  return (
    <section className="flex flex-1 flex-col gap-5 p-4 text-lg">
      <div>
        <h1 className="text-2xl font-bold">{t("phone.morning")}</h1>
        <p className="text-base-content/80">{t("phone.morningSays", { date: sayDate(trainingDate) })}</p>
      </div>
      <PainPicker
        label={t("phone.morningPain")}
        name="pain"
        value={pain}
        onChange={setPain}
        ends={[t("phone.noPain"), t("phone.worstPain")]}
      />
      <TapChoice
        label={t("phone.morningStiff")}
        name="stiff"
        options={stiffness.map((code) => [code, t(`phone.stiff.${code}`)] as const)}
        value={stiff}
        onChange={setStiff}
      />
      <TapChoice
        label={t("phone.morningSwelling")}
        name="swelling"
        options={swellings.map((code) => [code, t(`phone.swelling.${code}`)] as const)}
        value={swelling}
        onChange={setSwelling}
      />
      <div className="sticky bottom-20 mt-auto flex gap-2">
        <button type="button" className="btn phone-plain btn-lg min-h-16 flex-1" onClick={onLeave}>
          {t("phone.later")}
        </button>
        <button
          type="button"
          className="btn btn-primary btn-lg min-h-16 flex-[2] text-xl"
          disabled={pain === null || stiff === "" || swelling === ""}
          onClick={save}
        >
          {t("phone.save")}
        </button>
      </div>
    </section>
  );
}
