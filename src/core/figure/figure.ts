import type { Vec } from "~/core/pose/space";
import type { PointName, Pose } from "~/core/pose/pose";
import type { LoopLimb } from "./loop-place";

/** A point of the body, a place in the room, or a place beside a point of the body, metres. */
export type Anchor = PointName | Vec | { readonly of: PointName; readonly plus: Vec };

/** The two ends of an extent, metres. */
export type Span = readonly [number, number];
export type LimbName = `${"w" | "o"}.${"thigh" | "shank" | "upper-arm" | "forearm"}`;

/** What stands, lies or is held in a figure. Sizes in metres: a box of 0.4 is 0.4 m for everybody. */
export type Prop =
  | {
      readonly kind: "block";
      readonly what:
        | "box"
        | "step"
        | "bench"
        | "table"
        | "pad"
        | "pillow"
        | "mat"
        | "seat"
        | "machine"
        | "rail";
      readonly x: Span;
      readonly y: Span;
      readonly z: Span;
    }
  | { readonly kind: "wall"; readonly x: number; readonly z: Span; readonly faces: 1 | -1 }
  | { readonly kind: "side-wall"; readonly z: number; readonly x: Span; readonly height: number }
  | { readonly kind: "ball"; readonly at: Anchor; readonly radius: number }
  | { readonly kind: "wheel"; readonly at: Vec; readonly radius: number }
  | {
      readonly kind: "line";
      readonly what: "band" | "strap" | "stick" | "frame" | "helper";
      readonly through: readonly Anchor[];
    }
  | {
      readonly kind: "ring";
      readonly what: "band" | "cuff" | "towel";
      readonly limb: LimbName;
      readonly at: number;
    }
  | { readonly kind: "loop"; readonly limb: LoopLimb }
  | {
      readonly kind: "weight";
      readonly what: "dumbbell" | "plate" | "cup";
      readonly at: Anchor;
      readonly along: Vec;
    }
  | { readonly kind: "barbell"; readonly at: Anchor }
  | { readonly kind: "wedge"; readonly x: Span; readonly y: Span; readonly z: Span }
  | { readonly kind: "slider"; readonly under: PointName }
  | { readonly kind: "tufts"; readonly x: Span }
  | { readonly kind: "mark"; readonly x: number; readonly z: number }
  | { readonly kind: "sign"; readonly what: "eyes-closed" | "counting" | "signal"; readonly at: PointName }
  | { readonly kind: "press"; readonly at: Anchor; readonly towards: Vec }
  | { readonly kind: "arrow"; readonly from: Anchor; readonly to: Anchor; readonly heads: "end" | "both" };

/** A point that must stand at a place, checked whenever the figure is drawn; coordinates left out are free. */
export interface Contact {
  readonly point: PointName;
  readonly x?: number;
  readonly y?: number;
  readonly z?: number;
}

export type Timing =
  | { readonly kind: "hold" }
  /** From the first key to the last and back; `lowers` says which way the weight goes down. */
  | { readonly kind: "there-and-back"; readonly lowers: "there" | "back" }
  /** From key to key in the seconds given; begins anew after the last. */
  | { readonly kind: "sequence"; readonly seconds: readonly number[]; readonly lowers?: "there" | "back" };

/** Everything a variant shows: its poses, what stands around, and where it is seen from. */
export interface Figure {
  /** Degrees round from the working side towards the front: 0 is the side, 90 the front, −90 the back. */
  readonly viewDeg: number;
  readonly keys: readonly Pose[];
  readonly timing: Timing;
  readonly props: readonly Prop[];
  readonly contacts: readonly Contact[];
  /** The point whose way an arrow shows. */
  readonly moves?: PointName;
}
