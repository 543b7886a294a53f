import { useEffect, useRef, useState } from "react";
import { sayNumber, t } from "~/messages/say";
import { frameOf, type LoadedPicture } from "./load-picture";

interface Props {
  clip: File;
  onFrame: (frame: LoadedPicture) => void;
  onFault: () => void;
}

const steps = 200;

/** A short clip: the moment is looked for, and becomes the picture. The clip itself is never sent or kept. */
export default function ClipFrame({ clip, onFrame, onFault }: Props) {
  const video = useRef<HTMLVideoElement>(null);
  const [length, setLength] = useState(0);
  const [at, setAt] = useState(0);
  useEffect(() => {
    const address = URL.createObjectURL(clip);
    if (video.current) video.current.src = address;
    return () => URL.revokeObjectURL(address);
  }, [clip]);
  return (
    <div className="flex flex-col gap-2" data-testid="clip">
      <video
        ref={video}
        muted
        playsInline
        preload="auto"
        className="bg-base-200 max-h-[45dvh] w-fit"
        onLoadedMetadata={({ currentTarget }) => setLength(currentTarget.duration)}
        onError={onFault}
      />
      <label className="flex flex-wrap items-center gap-3 text-sm">
        {t("still.moment", { seconds: sayNumber(at) })}
        <input
          type="range"
          className="range flex-1 basis-60"
          min={0}
          max={length}
          step={length / steps || 0.01}
          value={at}
          onChange={({ target }) => {
            setAt(Number(target.value));
            if (video.current) video.current.currentTime = Number(target.value);
          }}
        />
      </label>
      <button
        type="button"
        className="btn btn-primary w-fit"
        disabled={length === 0}
        onClick={() => video.current && onFrame(frameOf(video.current))}
      >
        {t("still.useFrame")}
      </button>
    </div>
  );
}
