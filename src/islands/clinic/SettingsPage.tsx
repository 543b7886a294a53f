import { useState } from "react";
import type { Habits, Ways } from "~/contract/habits";
import type { ClinicView } from "~/contract/trust";
import { painSchoolCodes } from "~/core/response/pain-school";
import WaysFields from "~/islands/frame/WaysFields";
import { island } from "~/islands/frame/island";
import ProblemNote from "~/islands/frame/ProblemNote";
import { useWrite } from "~/islands/frame/use-write";
import { t } from "~/messages/say";
import KeepingBox from "./KeepingBox";

/** The clinic's name and zone, what every patient begins with, how it is written, how one signs in, and how long records are kept. */
function SettingsPage({ view }: { view: ClinicView }) {
  const { send, busy, problem } = useWrite("setClinic", {});
  const [saved, setSaved] = useState(view);
  const [name, setName] = useState(view.name);
  const [zone, setZone] = useState(view.zone);
  const [habits, setHabits] = useState(view.habits);
  const [notice, setNotice] = useState("");
  const change = (more: Partial<Habits>) => setHabits((before) => ({ ...before, ...more }));
  const save = async (event: React.FormEvent) => {
    event.preventDefault();
    const written = await send({ name: name.trim(), zone, habits });
    if (!written) return;
    setSaved(written.clinic);
    setHabits(written.clinic.habits);
    setNotice(t("clinic.saved"));
  };
  const changed = name.trim() !== saved.name || zone !== saved.zone || !isSame(habits, saved.habits);
  return (
    <div className="mx-auto flex max-w-3xl flex-col gap-4 px-4 py-4">
      <h1 className="text-2xl font-bold">{t("clinic.settings")}</h1>
      <form
        className="bg-base-100 border-base-300 rounded-box flex flex-col gap-3 border p-3"
        noValidate
        onSubmit={(event) => void save(event)}
      >
        <ProblemNote problem={problem} />
        <label className="flex flex-col gap-1 font-medium">
          {t("clinic.name")}
          <input
            className="input w-full"
            maxLength={120}
            value={name}
            onChange={(e) => setName(e.target.value)}
          />
        </label>
        <label className="flex flex-col gap-1 font-medium">
          {t("clinic.zone")}
          <select className="select w-full" value={zone} onChange={(e) => setZone(e.target.value)}>
            {saved.zones.map((one) => (
              <option key={one}>{one}</option>
            ))}
          </select>
          <span className="text-base-content/75 text-sm font-normal">{t("clinic.zoneHelp")}</span>
        </label>
        <section className="border-base-300 flex flex-col gap-2 border-t pt-3">
          <h2 className="text-lg font-semibold">{t("clinic.begins")}</h2>
          <p className="text-base-content/75 text-sm">{t("clinic.beginsHelp")}</p>
          <div className="grid gap-3 sm:grid-cols-2">
            <label className="flex flex-col gap-1 font-medium">
              {t("clinic.school")}
              <select
                className="select w-full"
                value={habits.school ?? ""}
                onChange={(event) => change({ school: (event.target.value || null) as Habits["school"] })}
              >
                <option value="">{t("clinic.schoolOpen")}</option>
                {painSchoolCodes.map((code) => (
                  <option key={code} value={code}>
                    {t(`school.${code}`)}
                  </option>
                ))}
              </select>
            </label>
            <label className="flex flex-col gap-1 font-medium">
              {t("clinic.passing")}
              <select
                className="select w-full"
                value={habits.passing ?? ""}
                onChange={(event) => change({ passing: (event.target.value || null) as Habits["passing"] })}
              >
                <option value="">{t("clinic.passingOpen")}</option>
                {(["point", "confident"] as const).map((code) => (
                  <option key={code} value={code}>
                    {t(`passing.${code}`)}
                  </option>
                ))}
              </select>
            </label>
          </div>
        </section>
        <section className="border-base-300 flex flex-col gap-2 border-t pt-3">
          <h2 className="text-lg font-semibold">{t("clinic.ways")}</h2>
          <p className="text-base-content/75 text-sm">{t("clinic.waysHelp")}</p>
          <WaysFields value={habits} onChange={(more) => change(more as Partial<Ways>)} />
        </section>
        <section className="border-base-300 flex flex-col gap-2 border-t pt-3">
          <h2 className="text-lg font-semibold">{t("clinic.signingIn")}</h2>
          <label className="flex min-h-11 items-center gap-3 font-medium">
            <input
              type="checkbox"
              className="checkbox"
              disabled={!saved.mayDemandFactor && !habits.demandsFactor}
              checked={habits.demandsFactor}
              onChange={(event) => change({ demandsFactor: event.target.checked })}
            />
            {t("clinic.demandFactor")}
          </label>
          <p className="text-base-content/75 text-sm">{t("clinic.demandFactorHelp")}</p>
          {!saved.mayDemandFactor && (
            <p className="text-sm">
              {t("clinic.demandFactorOwn")}{" "}
              <a className="link" href="/account">
                {t("account.title")}
              </a>
            </p>
          )}
        </section>
        <KeepingBox
          years={habits.keepYears === null ? "" : String(habits.keepYears)}
          onYears={(years) => change({ keepYears: years === "" ? null : Number(years) })}
        />
        <div className="flex flex-wrap items-center gap-3">
          <button className="btn btn-primary" disabled={busy || !changed || name.trim().length < 2}>
            {t("clinic.save")}
          </button>
          <p role="status" className="text-success font-medium">
            {notice}
          </p>
        </div>
      </form>
    </div>
  );
}

const isSame = (a: Habits, b: Habits) =>
  (Object.keys(b) as (keyof Habits)[]).every((name) => a[name] === b[name]);

export default island(SettingsPage);
