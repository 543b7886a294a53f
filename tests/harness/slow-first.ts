import { BaseSequencer, type TestSpecification } from "vitest/node";

/** Files that take longest, longest first; begun last they would be waited for with a processor idle. */
const slow = [
  "by-hand",
  "conditions",
  "plan-and-catalogue",
  "planned-week",
  "pathway-walks",
  "special-people",
  "lived-laws",
  "demand-geometry",
  "limited-lives",
  "lived-case",
  "views",
  "patient-frame",
  "faults",
  "daily",
  "story",
  "clinic",
  "start",
  "security",
  "limited-roads",
  "stage-coverage",
  "figures",
];

const rank = ({ moduleId }: TestSpecification) => {
  const at = slow.findIndex((name) => moduleId.includes(`/${name}.test.`));
  return at < 0 ? slow.length : at;
};

/** Begins the slow files first; the rest in the runner's own order. */
export default class SlowFirst extends BaseSequencer {
  override async sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    const sorted = await super.sort(files);
    return [...sorted].sort((a, b) => rank(a) - rank(b));
  }
}
