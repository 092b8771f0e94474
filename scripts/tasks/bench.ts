import { benchChoice } from '../benches/choice.ts';
import { benchCloth } from '../benches/cloth.ts';
import { benchCore } from '../benches/core.ts';
import { benchCrowd } from '../benches/crowd.ts';
import { withCrowdedStudio } from '../benches/crowdedStudio.ts';
import { benchFaults } from '../benches/faults.ts';
import { benchFirstLoad } from '../benches/firstLoad.ts';
import { benchFitBook } from '../benches/fitBook.ts';
import { benchLaws } from '../benches/laws.ts';
import { benchPaint } from '../benches/paint.ts';
import { benchPlanEndpoint } from '../benches/planEndpoint.ts';
import { benchScene } from '../benches/scene.ts';
import { benchSearch } from '../benches/search.ts';
import { benchStages } from '../benches/stages.ts';
import { benchSteps } from '../benches/steps.ts';
import { benchTies } from '../benches/ties.ts';
import { MachineFailure, runTask } from '../machine/failure.ts';

/**
 * `npm run bench` measures everything; `npm run bench core` (or choice, laws, paint, cloth, steps, fitbook, scene, load, plan,
 * stages, records, crowd, faults) one part. Faults take some twenty minutes, and are measured when asked for by name.
 */
const parts = {
  core: benchCore,
  choice: benchChoice,
  laws: benchLaws,
  paint: () => withCrowdedStudio(benchPaint),
  cloth: benchCloth,
  steps: benchSteps,
  fitbook: benchFitBook,
  scene: () => withCrowdedStudio(benchScene),
  load: benchFirstLoad,
  plan: benchPlanEndpoint,
  stages: benchStages,
  records: () =>
    withCrowdedStudio(async (studio) => {
      await benchSearch(studio);
      await benchTies(studio);
    }),
  crowd: benchCrowd,
  faults: benchFaults,
} as const;

// What is measured asks far more often than any studio does.
process.env['ROPEWALK_MOST_A_MINUTE'] = '100000000';

await runTask(async () => {
  const asked = process.argv.slice(2);
  const unknown = asked.filter((name) => !(name in parts));
  if (unknown.length > 0)
    throw new MachineFailure(`There is no part “${unknown.join(', ')}”. There are: ${Object.keys(parts).join(', ')}.`);
  for (const [name, measure] of Object.entries(parts)) {
    if (asked.length === 0 ? name !== 'faults' : asked.includes(name)) await measure();
  }
});
