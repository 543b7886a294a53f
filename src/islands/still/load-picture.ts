import { imageSize } from "image-size";
import { fromBase64, toBase64 } from "~/core/device/base64";
import { cleanPicture } from "~/core/measure/clean-picture";

/** A picture as it is worked with: upright, no larger than needed, without anything a camera wrote about it. */
export interface LoadedPicture {
  /** JPEG, as a data address. */
  readonly address: string;
  readonly width: number;
  readonly height: number;
}
export type PictureFault = "too-large" | "unreadable";

const largestBytes = 25_000_000;
/** More than any camera of a phone takes; what unpacks to more is meant to burst. */
const mostPixels = 60_000_000;
const longestSide = 1200;
const quality = 0.82;

/** Reads a picture that somebody chose; HEIC and the like are read only by browsers that know them. */
export async function loadPicture(file: File): Promise<LoadedPicture | PictureFault> {
  if (file.size > largestBytes) return "too-large";
  try {
    const { width, height } = imageSize(new Uint8Array(await file.arrayBuffer()));
    if (width * height > mostPixels) return "too-large";
  } catch {
    return "unreadable";
  }
  try {
    const bitmap = await createImageBitmap(file, { imageOrientation: "from-image" });
    return drawn(bitmap, bitmap.width, bitmap.height);
  } catch {
    return "unreadable";
  }
}

/** One frame of a clip, where it stands now. */
export const frameOf = (video: HTMLVideoElement): LoadedPicture =>
  drawn(video, video.videoWidth, video.videoHeight);

function drawn(source: CanvasImageSource, fullWidth: number, fullHeight: number): LoadedPicture {
  const scale = Math.min(1, longestSide / Math.max(fullWidth, fullHeight));
  const [width, height] = [Math.round(fullWidth * scale), Math.round(fullHeight * scale)];
  const canvas = Object.assign(document.createElement("canvas"), { width, height });
  canvas.getContext("2d")?.drawImage(source, 0, 0, width, height);
  return { address: cleaned(canvas.toDataURL("image/jpeg", quality)), width, height };
}

/** Some browsers write about a picture themselves. */
function cleaned(address: string): string {
  const comma = address.indexOf(",") + 1;
  return address.slice(0, comma) + toBase64(cleanPicture(fromBase64(address.slice(comma))));
}
