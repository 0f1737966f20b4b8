import fs from 'node:fs';
import path from 'node:path';
import type { Airframe } from '../src/airframe/index.ts';

/** An airframe of the demo workshop, by the name of its file. */
export const demo = (name: 'paperbark-mite' | 'reedling-1100' | 'saltbox-36'): Airframe =>
  JSON.parse(fs.readFileSync(path.join(import.meta.dirname, `../../demo/${name}.grainfold.json`), 'utf8')) as Airframe;
