import type { Pathway } from "~/core/pathway/pathway";
import { commonPractice, recalled } from "../source";
import { stage } from "./compose";
import { apart, atLeast, atMost, gate, optional, symmetry, weeks } from "./criteria";

export const hamstringPathway: Pathway = {
  code: "hamstring-strain",
  name: "Hamstring strain",
  siteLane: "hamstrings",
  region: "thigh",
  stages: [
    stage("hamstring-strain", "protect-and-hold", {
      name: "Protect and hold",
      aim: "Walk normally and press the heel down without more than the rule allows.",
      expect:
        "A few days of short steps. Pressing the heel down is felt in the muscle; a sharp spot means less.",
      school: "threshold-4",
      caution: "High pain at the sit bone after a sudden stretch: have an avulsion ruled out first.",
      gate: gate(
        3,
        2,
        atMost("walk-limp", 0),
        atMost("pain-task", 4, { name: "Pain in the isometric knee bend" }),
      ),
    }),
    stage("hamstring-strain", "bridge-and-lengthen", {
      name: "Bridge and lengthen",
      aim: "Bridges on both legs, first light lengthening, easy running.",
      expect: "Runs stay at a pace you could talk at. The pull at the end of range fades week by week.",
      school: "threshold-4",
      gate: gate(
        10,
        5,
        apart("active-knee-extension-deficit", 10, {
          name: "Active knee extension within 10° of the other side",
          source: recalled("Malliaropoulos 2010"),
        }),
        symmetry("knee-flexion-force", 80),
      ),
    }),
    stage("hamstring-strain", "lengthen-under-load", {
      name: "Lengthen under load",
      aim: "Loaded hinges, kneeling lowering, single-leg bridges.",
      expect: "Sore for a day or two at first. Running comes up to four fifths of your speed.",
      school: "threshold-4",
      gate: gate(
        21,
        10,
        atLeast("single-leg-bridge-reps", 20, { source: recalled("Freckleton 2014") }),
        symmetry("single-leg-bridge-reps", 90, { source: recalled("Freckleton 2014") }),
        atLeast("top-speed-share", 70),
      ),
    }),
    stage("hamstring-strain", "fast-running", {
      name: "Fast running",
      aim: "Up to full speed, twice, before anything else.",
      expect: "Speed comes last and in small steps; no lengthening work before it or the day before.",
      school: "threshold-4",
      gate: gate(
        28,
        10,
        atMost("pain-task", 0, { name: "Pain in everything else" }),
        symmetry("knee-flexion-force", 90),
        atLeast("fast-sessions", 2, { maxAgeDays: 21 }),
        atLeast("fast-leg-raise", 1, { source: recalled("Askling 2010") }),
      ),
    }),
    stage("hamstring-strain", "keep", {
      name: "Keep",
      aim: "Weekly lengthening work for as long as you sprint.",
      expect: "Ten minutes once or twice a week, after running, never before.",
      school: "threshold-4",
    }),
  ],
  source: commonPractice,
};

export const hipArthroscopyPathway: Pathway = {
  code: "hip-arthroscopy",
  name: "Hip arthroscopy",
  siteLane: "hip-rotators",
  region: "hip",
  procedures: ["labral repair", "bone reshaping", "labral repair and bone reshaping", "microfracture"],
  countsFrom: "surgery",
  stages: [
    stage("hip-arthroscopy", "protect", {
      name: "Protect",
      aim: "Let the joint calm and the capsule heal, with gentle range and isometrics.",
      expect:
        "Crutches and brace as the surgeon wrote. Gentle movement several times a day; the front of the hip is spared.",
      school: "pain-free",
      caution: "No straight-leg raise, no forced extension or outward rotation while the capsule heals.",
      gate: gate(
        weeks(3),
        weeks(2),
        atMost("pain-worst", 2),
        atMost("pinch", 1),
        symmetry("hip-flexion", 85),
        atMost("walk-limp", 0),
      ),
    }),
    stage("hip-arthroscopy", "control", {
      name: "Control",
      aim: "Hip muscles and trunk, then weight on one leg.",
      expect:
        "More repetitions before more load. Standing on one leg with a level belt is the work of this stage.",
      gate: gate(
        weeks(8),
        weeks(4),
        atLeast("stance-open", 30, { name: "Single-leg stance 30 s without pelvic drop" }),
        atLeast("single-leg-bridge-reps", 10),
        symmetry("hip-abduction-force", 80),
        atMost("pinch", 0),
      ),
    }),
    stage("hip-arthroscopy", "strength-and-profile", {
      name: "Strength and profile",
      aim: "Strength in every direction, then what the sport or the work asks.",
      expect:
        "Heavier work and first landings. Cutting, kicking, deep positions or long days come by what you go back to.",
      gate: gate(
        weeks(14),
        weeks(5),
        symmetry("hip-abduction-force", 90),
        symmetry("hip-adduction-force", 90),
        symmetry("hip-external-rotation-force", 90),
        symmetry("single-hop", 90),
        atLeast("hip-groin-sport", 75),
      ),
    }),
    stage("hip-arthroscopy", "return-and-keep", {
      name: "Return and keep",
      aim: "Back to sport or work in steps, then twice a week for good.",
      expect: "Training first, then competing. Ten minutes twice a week stay.",
    }),
  ],
  source: commonPractice,
};

export const hipImpingementPathway: Pathway = {
  code: "hip-impingement",
  name: "Impingement-type hip pain, no surgery",
  siteLane: "hip-rotators",
  region: "hip",
  stages: [
    stage("hip-impingement", "settle", {
      name: "Settle",
      aim: "Stop what pinches, keep everything else going.",
      expect: "Depth is not the aim. What pinches waits; hip and trunk work goes on around it.",
      school: "pain-free",
      caution: "Pinching or blocking stops that movement: technique first, referral if it stays.",
      gate: gate(14, 10, atMost("pain-worst", 3), atMost("pinch", 1)),
    }),
    stage("hip-impingement", "strength", {
      name: "Strength",
      aim: "Hip strength on every side, in the range that does not pinch.",
      expect: "Hinge, squat and split squat return as deep as they stay free. Bone shape can set the depth.",
      school: "monitored",
      gate: gate(
        42,
        28,
        atMost("pinch", 0),
        symmetry("hip-abduction-force", 90),
        symmetry("hip-external-rotation-force", 90),
        atLeast("hip-groin-daily", 80),
      ),
    }),
    stage("hip-impingement", "sport", {
      name: "Sport",
      aim: "Sport-specific work with the symptoms of the day and of the day after as guide.",
      expect: "Running and landing in steps. Judge by the hip during and a day later, not by depth.",
      gate: gate(
        70,
        21,
        atMost("pain-task", 2),
        atLeast("hip-groin-sport", 75),
        optional(symmetry("single-hop", 90)),
      ),
    }),
    stage("hip-impingement", "keep", {
      name: "Keep",
      aim: "Two or three times a week.",
      expect: "The same few exercises, all year.",
    }),
  ],
  source: commonPractice,
};

/** Thigh and hip, besides the groin. */
export const thighAndHipPathways = [hamstringPathway, hipArthroscopyPathway, hipImpingementPathway];
