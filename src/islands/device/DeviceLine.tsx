import { BatteryLow, BatteryMedium, Cable, PlugZap } from "lucide-react";
import { useState } from "react";
import { deviceProfiles } from "~/core/device/device-profile";
import { sayNumber, t } from "~/messages/say";
import type { DeviceState } from "./use-device";

interface Props {
  state: DeviceState;
  address: string;
  onConnect: () => void;
  onCable: (profile: string) => void;
}

const lowPercent = 20;

/** Which device answers; or that none does, and what can be done. */
export default function DeviceLine({ state, address, onConnect, onCable }: Props) {
  const { hello, battery, end } = state;
  const [profile, setProfile] = useState(deviceProfiles[0]?.code ?? "");
  const isLow = battery !== null && battery < lowPercent;
  if (hello)
    return (
      <p className="flex flex-wrap items-center gap-x-3 text-sm" data-testid="device">
        <span className="flex items-center gap-1 font-medium">
          <PlugZap className="text-success size-4" aria-hidden />
          {t("device.on", { name: hello.name })}
        </span>
        {battery !== null && (
          <span className={`flex items-center gap-1 ${isLow ? "text-warning font-medium" : ""}`}>
            {isLow ? (
              <BatteryLow className="size-4" aria-hidden />
            ) : (
              <BatteryMedium className="size-4" aria-hidden />
            )}
            {t(isLow ? "device.batteryLow" : "device.battery", { percent: battery })}
          </span>
        )}
        <span className="text-base-content/75">{t("device.rate", { hz: sayNumber(hello.sampleHz) })}</span>
      </p>
    );
  if (end === null)
    return (
      <p className="text-sm" role="status">
        {t("device.waiting")}
      </p>
    );
  return (
    <div
      className="alert alert-warning alert-soft text-base-content flex-wrap text-sm"
      role="alert"
      data-testid="device-end"
    >
      <p>
        {end === "unreachable"
          ? t("device.none", { address })
          : t("device.brokeOff", { why: t(`device.end.${end}`) })}
      </p>
      <button type="button" className="btn" onClick={onConnect}>
        {t("device.again")}
      </button>
      {"serial" in navigator && (
        <span className="flex flex-wrap items-center gap-2">
          <select
            className="select w-64"
            aria-label={t("device.cableKind")}
            value={profile}
            onChange={({ target }) => setProfile(target.value)}
          >
            {deviceProfiles.map(({ code }) => (
              <option key={code} value={code}>
                {t(`device.profile.${code as "own-lines"}`)}
              </option>
            ))}
          </select>
          <button type="button" className="btn" onClick={() => onCable(profile)}>
            <Cable className="size-4" aria-hidden />
            {t("device.cable")}
          </button>
        </span>
      )}
    </div>
  );
}
