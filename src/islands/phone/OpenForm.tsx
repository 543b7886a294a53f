import { useState } from "react";
import { t } from "~/messages/say";

interface Props {
  says: string;
  onOpen: (body: { code: string; birthYear: number }) => Promise<void>;
}

/** The way in without a link: the clinic's code, and the year of birth. */
export default function OpenForm({ says, onOpen }: Props) {
  const [code, setCode] = useState("");
  const [year, setYear] = useState("");
  const [busy, setBusy] = useState(false);
  const open = async (event: React.FormEvent) => {
    event.preventDefault();
    setBusy(true);
    await onOpen({ code, birthYear: Number(year) });
    setBusy(false);
  };
  const ready = code.replace(/[^a-z0-9]/gi, "").length >= 5 && /^(19|20)\d\d$/.test(year);
  return (
    <form className="flex flex-col gap-4 p-4 text-lg" noValidate onSubmit={(event) => void open(event)}>
      <h1 className="text-2xl font-bold">{t("phone.title")}</h1>
      {says && (
        <p role="alert" className="border-warning rounded-box border-2 p-3 font-medium">
          {says}
        </p>
      )}
      <p>{t("phone.openSays")}</p>
      <label className="flex flex-col gap-1 font-medium">
        {t("phone.code")}
        <input
          className="input input-lg w-full text-2xl tracking-wider"
          autoCapitalize="none"
          autoComplete="off"
          spellCheck={false}
          value={code}
          maxLength={20}
          onChange={(event) => setCode(event.target.value)}
        />
      </label>
      <label className="flex flex-col gap-1 font-medium">
        {t("phone.birthYear")}
        <input
          className="input input-lg w-full text-2xl"
          inputMode="numeric"
          autoComplete="bday-year"
          value={year}
          maxLength={4}
          onChange={(event) => setYear(event.target.value)}
        />
      </label>
      <button className="btn btn-primary btn-lg" disabled={!ready || busy}>
        {busy ? t("phone.opening") : t("phone.open")}
      </button>
    </form>
  );
}
