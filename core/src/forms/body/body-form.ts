import type { FormOf } from '../form/index.ts';
import type { BodyParameters } from './parameters.ts';

/** A form that makes a body of walls, floor and lid. */
export type BodyForm = FormOf<'body', BodyParameters>;
