import { Controller, useFormContext } from "react-hook-form";
import { painPatterns } from "~/core/response/session-record";
import TapChoice from "~/islands/frame/TapChoice";
import { t } from "~/messages/say";
import type { SessionDraft } from "./session-draft";

interface Props {
  path: `items.${number}.sets.${number}`;
  control: ReturnType<typeof useFormContext<SessionDraft>>["control"];
}

/** Asked once pain lies above the go band: what it came with, in one tap; with a depth, at which angle. */
export default function PainCameWith({ path, control }: Props) {
  const { register, watch } = useFormContext<SessionDraft>();
  const chosen = watch(`${path}.painWith`);
  return (
    <div className="flex flex-col gap-2">
      <Controller
        control={control}
        name={`${path}.painWith`}
        render={({ field }) => (
          <TapChoice
            label={t("session.painWith")}
            name={field.name}
            options={painPatterns.map((code) => [code, t(`session.painWith.${code}`)] as const)}
            value={field.value}
            onChange={field.onChange}
          />
        )}
      />
      {chosen === "depth" && (
        <div className="flex flex-wrap gap-3">
          {(["painFromDeg", "painToDeg"] as const).map((name) => (
            <label key={name} className="flex flex-col gap-1 text-sm font-medium">
              {t(name === "painFromDeg" ? "session.painFrom" : "session.painTo")}
              <span className="input w-28 text-lg">
                <input
                  type="number"
                  inputMode="numeric"
                  min={0}
                  max={150}
                  step={1}
                  {...register(`${path}.${name}`)}
                />
                <span className="text-base-content/70">°</span>
              </span>
            </label>
          ))}
        </div>
      )}
    </div>
  );
}
