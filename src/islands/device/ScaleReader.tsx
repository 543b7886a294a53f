import { Scale } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import { steadyReading } from "~/core/device/steady-reading";
import { sayNumber, t } from "~/messages/say";
import { openSocket, type DeviceLink } from "./device-link";

interface Props {
  /** Where devices answer on this machine. */
  address: string;
  /** What is read, in words: the stretch it belongs to. */
  of: string;
  onRead: (newtons: number) => void;
}

/** Less than this is an empty hook. */
const leastN = 2;

/** A scale that is listened to until it stands still; then it is read once. */
export default function ScaleReader({ address, of, onRead }: Props) {
  const link = useRef<DeviceLink | null>(null);
  const [shows, setShows] = useState<number | null>(null);
  const [state, setState] = useState<"off" | "on" | "unreachable">("off");
  useEffect(() => {
    return () => {
      link.current?.close();
    };
  }, []);
  const end = (as: typeof state) => {
    link.current?.close();
    link.current = null;
    setState(as);
    setShows(null);
  };
  const begin = () => {
    const samples: number[] = [];
    let sampleHz = 0;
    setState("on");
    link.current = openSocket(address, "scale", {
      told: (message) => {
        if (message.type === "hello") {
          sampleHz = message.sampleHz;
          link.current?.order({ v: 1, type: "start" });
        } else if (message.type === "samples" && sampleHz > 0) {
          samples.push(...message.values);
          setShows(samples.at(-1) ?? null);
          const read = steadyReading(samples, sampleHz);
          if (read === null || read < leastN || !link.current) return;
          end("off");
          onRead(read);
        }
      },
      ended: (why) => {
        if (why !== "closed") end("unreachable");
      },
    });
  };
  return (
    <div className="flex flex-wrap items-center gap-2 text-sm">
      <button type="button" className="btn" disabled={state === "on"} onClick={begin}>
        <Scale className="size-4" aria-hidden />
        {t("scale.read", { of })}
      </button>
      <span role="status">
        {state === "on" && t("scale.hold", { shows: shows === null ? "–" : sayNumber(Math.round(shows)) })}
        {state === "unreachable" && (
          <span className="text-warning font-medium">{t("device.none", { address })}</span>
        )}
      </span>
    </div>
  );
}
