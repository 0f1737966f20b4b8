/** Times the figures and the cut list of airframes at their limits: one JSON line a case, the median of several runs in milliseconds. */
import { cutListOf, quickFigures, type Airframe } from '@grain-fold/core/airframe';
import { heavyAirframes } from '../../core/test/heavy-parts.ts';

const RUNS = 3;

function median(airframe: Airframe, work: (fresh: Airframe) => void): number {
  const times = Array.from({ length: RUNS }, () => {
    // Parts that nothing remembers yet, so that every run does the whole work.
    const fresh = structuredClone(airframe);
    const start = performance.now();
    work(fresh);
    return performance.now() - start;
  }).sort((a, b) => a - b);
  return Math.round(times[Math.floor(RUNS / 2)]!);
}

for (const airframe of heavyAirframes()) {
  const { name } = airframe.parts[0]!;
  const figuresMs = median(airframe, (fresh) => void quickFigures(fresh)),
    cutListMs = median(airframe, (fresh) => void cutListOf(fresh));
  console.log(JSON.stringify({ case: 'at its limit', airframe: name, runs: RUNS, figuresMs, cutListMs }));
}
