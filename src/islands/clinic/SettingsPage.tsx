import { useState } from "react";
import type { ClinicView } from "~/contract/trust";
import { island } from "~/islands/frame/island";
import ProblemNote from "~/islands/frame/ProblemNote";
import { useWrite } from "~/islands/frame/use-write";
import { t } from "~/messages/say";

/** The clinic's name and zone, and what is said about keeping records. */
function SettingsPage({ view }: { view: ClinicView }) {
  const { send, busy, problem } = useWrite("setClinic", {});
  const [saved, setSaved] = useState(view);
  const [name, setName] = useState(view.name);
  const [zone, setZone] = useState(view.zone);
  const [notice, setNotice] = useState("");
  const save = async (event: React.FormEvent) => {
    event.preventDefault();
    const written = await send({ name: name.trim(), zone });
    if (!written) return;
    setSaved(written.clinic);
    setNotice(t("clinic.saved"));
  };
  const changed = name.trim() !== saved.name || zone !== saved.zone;
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
        <div className="flex flex-wrap items-center gap-3">
          <button className="btn btn-primary" disabled={busy || !changed || name.trim().length < 2}>
            {t("clinic.save")}
          </button>
          <p role="status" className="text-success font-medium">
            {notice}
          </p>
        </div>
      </form>
      <section className="bg-base-100 border-base-300 rounded-box border p-3">
        <h2 className="text-lg font-semibold">{t("clinic.keeping")}</h2>
        <p className="mt-1">{t("clinic.keepingText")}</p>
      </section>
    </div>
  );
}

export default island(SettingsPage);
