declare module "fili" {
  interface Biquad {
    readonly a: readonly number[];
    readonly b: readonly number[];
  }
  interface LowPass {
    order: number;
    characteristic: "butterworth";
    Fs: number;
    Fc: number;
    preGain: boolean;
  }
  const Fili: {
    CalcCascades: new () => { lowpass: (wanted: LowPass) => readonly Biquad[] };
    IirFilter: new (biquads: readonly Biquad[]) => { multiStep: (signal: number[]) => number[] };
  };
  export default Fili;
}
