import { t } from "~/messages/say";
import BenchSlider from "./BenchSlider";

interface Props {
  says: string;
  deg: number;
  range: readonly [number, number];
  onDeg: (deg: number) => void;
}

/** An angle of a posture, in whole degrees. */
export default function AngleSlider({ says, deg, range, onDeg }: Props) {
  const shown = t("lab.degree", { value: Math.round(deg) });
  return <BenchSlider says={says} value={deg} range={range} onValue={onDeg} shown={shown} />;
}
