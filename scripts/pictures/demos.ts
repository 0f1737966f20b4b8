/** The demo airframes as they stand. */
import { reedling1100 } from '../demo/reedling-1100.ts';
import { saltbox36 } from '../demo/saltbox-36.ts';
import { write } from './draw.ts';

write('saltbox-36', saltbox36(), 'body-wall', 'airframe');
write('reedling-1100', reedling1100(), 'pod-wall', 'airframe');
