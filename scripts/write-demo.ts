/** Writes the demo airframes as project files, each with a nest, and stops when one has a fault. */
import fs from 'node:fs';
import path from 'node:path';
import { writeProjectFile } from '@grain-fold/contract';
import { faultsIn, searchAirframeNest, squared, standingPart, type Airframe } from '@grain-fold/core/airframe';
import { applyCommand } from '@grain-fold/core/editing';
import { paperbarkMite } from './demo/paperbark-mite.ts';
import { reedling1100 } from './demo/reedling-1100.ts';
import { saltbox36 } from './demo/saltbox-36.ts';

const STEPS = 600;

for (const drawn of [paperbarkMite(), saltbox36(), reedling1100()]) {
  const airframe = withSeams(drawn);
  const faults = airframe.parts.flatMap((part) =>
    faultsIn(airframe, part).map((fault) => `${part.name}: ${fault.title}. ${fault.detail}`),
  );
  if (faults.length > 0) throw new Error(`${airframe.name} has faults:\n${faults.join('\n')}`);
  const nested: Airframe = { ...airframe, nest: nestOf(airframe) };
  fs.writeFileSync(
    path.join(import.meta.dirname, '../demo', `${airframe.id}.grainfold.json`),
    writeProjectFile(nested),
  );
  console.log(`${airframe.name}: ${airframe.parts.length} drawings, ${nested.nest!.boards.length} boards`);
}

/** The demos declare every seam that closes when their parts are folded. */
function withSeams(airframe: Airframe): Airframe {
  const parts = airframe.parts.map((part) =>
    (standingPart(airframe, part)?.body.near ?? [])
      .filter(({ state }) => state === 'closed')
      .reduce((now, { seam }) => {
        const result = applyCommand(now, {
          name: 'addSeam',
          args: { fromSegmentId: seam.fromSegmentId, toSegmentId: seam.toSegmentId },
        });
        return result.ok ? result.part : now;
      }, part),
  );
  return { ...airframe, parts };
}

function nestOf(airframe: Airframe): Airframe['nest'] {
  const search = searchAirframeNest(airframe, airframe.settings.nest.seed);
  let step = search.next().value;
  while (step.tried < STEPS) step = search.next().value;
  if (step.nest.unplaced.length > 0)
    throw new Error(`${airframe.name}: ${JSON.stringify(step.nest.unplaced)} found no place`);
  return squared(airframe, step.nest);
}
