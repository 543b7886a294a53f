import { Camera } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import { v7 as uuid } from "uuid";
import type { StillsView, VisitBody } from "~/contract/measures";
import { landmarkProblems, type LandmarkAnglesInput } from "~/core/measure/landmark-angles";
import type { InvolvedSide } from "~/core/measure/side-value";
import { anglesOfStill, type Still } from "~/core/measure/still";
import { stillTemplate, type StillLook } from "~/core/measure/still-template";
import { call } from "~/islands/frame/call";
import { sayDate, t } from "~/messages/say";
import ClipFrame from "./ClipFrame";
import { loadPicture, type LoadedPicture, type PictureFault } from "./load-picture";
import LookSelect from "./LookSelect";
import StillAngles from "./StillAngles";
import StillBefore from "./StillBefore";
import StillCanvas from "./StillCanvas";
import { pixelsPerCm, scaleTemplate, type ScaleEnds } from "./still-points";

export type TakenStill = NonNullable<VisitBody["stills"]>[number];

/** A value that a still gives for a measure of the grid. */
export interface StillValue {
  readonly measure: string;
  readonly side: "left" | "right" | "none";
  readonly text: string;
}

interface Props {
  episodeId: string;
  view: "front" | "side";
  involvedSide: InvolvedSide;
  onDone: (values: readonly StillValue[], still: TakenStill) => void;
  onClose: () => void;
}

/** Angles out of a picture: points placed once or twice, the last picture beside; kept as points, or with the picture too. */
export default function StillPanel({ episodeId, view, involvedSide, onDone, onClose }: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  const side = involvedSide === "right" ? "right" : "left";
  const [look, setLook] = useState<StillLook>(
    view === "front" ? { view, stance: side, facing: "towards" } : { view, facing: side },
  );
  const [picture, setPicture] = useState<LoadedPicture | null>(null);
  const [clip, setClip] = useState<File | null>(null);
  const [fault, setFault] = useState<PictureFault | null>(null);
  const [points, setPoints] = useState<LandmarkAnglesInput | null>(null);
  /** The first placing, out of sight while the second is done. */
  const [first, setFirst] = useState<LandmarkAnglesInput | null>(null);
  const [scale, setScale] = useState<ScaleEnds | null>(null);
  const [lengthCm, setLengthCm] = useState("");
  const [keep, setKeep] = useState(false);
  const [kept, setKept] = useState<StillsView | null>(null);

  useEffect(() => {
    dialog.current?.showModal();
    let current = true;
    void call("readStills", { id: episodeId }).then((answer) => {
      if (current && answer.ok) setKept(answer.value);
    });
    return () => {
      current = false;
    };
  }, [episodeId]);

  const begin = (loaded: LoadedPicture, as: StillLook = look) => {
    setPicture(loaded);
    setPoints(stillTemplate(as, loaded));
    setScale(as.view === "side" ? scaleTemplate(loaded) : null);
    setFirst(null);
    setFault(null);
  };
  const choose = async (file: File | undefined) => {
    if (!file) return;
    setClip(null);
    if (file.type.startsWith("video/")) return setClip(file);
    const loaded = await loadPicture(file);
    if (typeof loaded === "string") return setFault(loaded);
    begin(loaded);
  };
  const before = kept?.stills.find((one) => one.points.view === view) ?? null;
  const problems = points ? landmarkProblems(points) : [];
  const perCm = scale ? pixelsPerCm(scale, lengthCm) : null;
  const scaled = (of: LandmarkAnglesInput) => (perCm === null ? of : { ...of, pixelsPerCm: perCm });
  const still: Still | null =
    points && picture && problems.length === 0
      ? {
          points: scaled(first ?? points),
          ...(first ? { again: scaled(points) } : {}),
          width: picture.width,
          height: picture.height,
        }
      : null;

  const put = () => {
    if (!still || !picture) return;
    const values = anglesOfStill(still).flatMap(({ measure, value }): StillValue[] =>
      measure === null
        ? []
        : [{ measure, side: look.view === "front" ? look.stance : "none", text: value.toFixed(1) }],
    );
    const base64 = picture.address.slice(picture.address.indexOf(",") + 1);
    onDone(values, { id: uuid(), ...still, ...(keep ? { picture: base64 } : {}) });
    dialog.current?.close();
  };

  return (
    <dialog
      ref={dialog}
      className="modal text-base-content"
      aria-label={t(`still.title.${view}`)}
      // A key pressed by mistake throws no points away.
      onCancel={(event) => picture && event.preventDefault()}
      onClose={onClose}
      data-testid="still-panel"
    >
      {/* It hangs from the top: what comes late lengthens it, and the picture stays under the hand that places its points. */}
      <div className="modal-box flex max-h-[96dvh] w-full max-w-6xl flex-col gap-3 self-start max-sm:max-h-dvh max-sm:rounded-none max-sm:p-3 sm:my-[2dvh]">
        <h2 className="text-lg font-semibold">{t(`still.title.${view}`)}</h2>
        <div className="flex flex-wrap items-end gap-3">
          <label className="btn w-fit">
            <Camera className="size-5" aria-hidden />
            {t("still.choose")}
            <input
              type="file"
              accept="image/*,video/*"
              capture="environment"
              className="sr-only"
              onChange={({ target }) => {
                void choose(target.files?.[0]);
                target.value = "";
              }}
            />
          </label>
          <LookSelect
            look={look}
            onLook={(next) => {
              setLook(next);
              if (picture) begin(picture, next);
            }}
          />
        </div>
        {fault && (
          <p className="text-error font-medium" role="alert">
            {t(`still.fault.${fault}`)}
          </p>
        )}
        {clip && (
          <ClipFrame
            clip={clip}
            onFrame={(frame) => {
              setClip(null);
              begin(frame);
            }}
            onFault={() => {
              setClip(null);
              setFault("unreadable");
            }}
          />
        )}
        {picture && points && (
          <div className="grid gap-3 lg:grid-cols-[1fr_20rem]">
            <StillCanvas
              picture={picture}
              points={points}
              onPoints={setPoints}
              scale={scale}
              onScale={setScale}
            />
            <div className="flex flex-col gap-2">
              <p className="text-sm">{t(first ? "still.again" : "still.place")}</p>
              {scale && (
                <label className="flex items-center gap-2 text-sm">
                  {t("still.length")}
                  <input
                    className="input w-20"
                    inputMode="decimal"
                    value={lengthCm}
                    onChange={({ target }) => setLengthCm(target.value)}
                  />
                  cm
                </label>
              )}
              {problems.map(({ path, problem }) => (
                <p key={path} className="text-error text-sm font-medium" role="alert">
                  {t("still.problem", { path: path.slice(1), problem })}
                </p>
              ))}
              {still && <StillAngles still={still} before={before} />}
              {!first && still && (
                <button
                  type="button"
                  className="btn"
                  onClick={() => {
                    setFirst(points);
                    setPoints(stillTemplate(look, picture));
                  }}
                >
                  {t("still.placeAgain")}
                </button>
              )}
              {before && (
                <StillBefore still={before} label={t("still.lastOf", { date: sayDate(before.takenOn) })} />
              )}
            </div>
          </div>
        )}
        {picture && kept?.mayKeepPictures && (
          <label className="flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              className="checkbox"
              checked={keep}
              onChange={({ target }) => setKeep(target.checked)}
            />
            {t("still.keep")}
          </label>
        )}
        <div className="flex flex-wrap items-center justify-end gap-2">
          <p className="text-base-content/75 mr-auto text-sm">{t("still.pointsOnly")}</p>
          <button type="button" className="btn" onClick={() => dialog.current?.close()}>
            {t("still.close")}
          </button>
          <button type="button" className="btn btn-primary" disabled={!still} onClick={put}>
            {t("device.put")}
          </button>
        </div>
      </div>
    </dialog>
  );
}
