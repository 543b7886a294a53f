import { createRoot } from "react-dom/client";
import { startingExercises } from "~/catalogue/exercises/all";
import { firstPrescription } from "~/core/exercise/exercise";
import ExerciseFigure from "~/islands/figure/ExerciseFigure";

const shown = [
  "two-leg-squat",
  "single-leg-squat",
  "side-step-up",
  "bridge",
  "ball-curl",
  "clam",
  "march",
  "calf-raise",
  "hinge",
  "push-up",
  "drop-jump",
  "running",
];

function Twelve({ moves }: { moves: boolean }) {
  return (
    <div style={{ display: "grid", gridTemplateColumns: "repeat(4, 300px)" }}>
      {shown.flatMap((id) => {
        const exercise = startingExercises.find((one) => one.id === id);
        const variant = exercise?.variants.at(-1);
        if (!exercise || !variant) return [];
        return [
          <div key={id} style={{ width: 300, height: 250 }}>
            <ExerciseFigure
              exercise={exercise}
              prescription={firstPrescription(variant)}
              dose={variant.dose}
              heightM={1.75}
              side="right"
              label={exercise.name}
              moves={moves}
              className="tall"
            />
          </div>,
        ];
      })}
    </div>
  );
}

const root = document.getElementById("root");
if (root) createRoot(root).render(<Twelve moves={root.dataset["moves"] === "true"} />);
