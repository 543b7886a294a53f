import { useState } from "react";
import { t } from "~/messages/say";

interface Props {
  label: string;
  value: string;
  onChange: (value: string) => void;
  kind: "current" | "new";
  help?: string;
  /** What is wrong with it. */
  wrong?: string | null | undefined;
}

/** A password; what is typed can be looked at, since nobody types twelve letters blind on a telephone. */
export default function PasswordField({ label, value, onChange, kind, help, wrong }: Props) {
  const [shown, setShown] = useState(false);
  return (
    <div className="flex flex-col gap-1">
      <label className="flex flex-col gap-1">
        <span className="font-medium">{label}</span>
        <input
          type={shown ? "text" : "password"}
          className="input w-full"
          autoComplete={`${kind}-password`}
          autoCapitalize="off"
          spellCheck={false}
          maxLength={200}
          value={value}
          aria-invalid={!!wrong}
          onChange={(event) => onChange(event.target.value)}
        />
      </label>
      {wrong && (
        <p className="text-error text-sm" role="alert">
          {label}: {wrong}
        </p>
      )}
      {help && <p className="text-base-content/75 text-sm">{help}</p>}
      {kind === "new" && (
        <label className="flex min-h-11 items-center gap-2 text-sm">
          <input
            type="checkbox"
            className="checkbox"
            checked={shown}
            onChange={(event) => setShown(event.target.checked)}
          />
          {t("account.show")}
        </label>
      )}
    </div>
  );
}
