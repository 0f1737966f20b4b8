import type { FormOf } from '../form/index.ts';
import type { WingParameters } from './parameters.ts';

/** A form that makes a wing. */
export type WingForm = FormOf<'wing', WingParameters>;
