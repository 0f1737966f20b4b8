import {
  fieldFaults,
  ImportAirframe,
  readProjectFile,
  SaveAirframe,
  type ErrorCode,
  type FieldFault,
} from '@grain-fold/contract';
import { saveFaults } from './save-faults.ts';

/** A request that carries an airframe or much of one, as it came in. */
export interface ReadingJob {
  readonly kind: 'import' | 'save';
  readonly text: string;
}

/** What was read: for an import the airframe as JSON, brought up to date; for a save that it keeps every rule. */
export type Read =
  | { readonly ok: true; readonly airframe?: string }
  | { readonly ok: false; readonly code: ErrorCode; readonly message: string; readonly faults: readonly FieldFault[] };

const refused = (faults: readonly FieldFault[]): Read => {
  const { field, message } = faults[0]!;
  return {
    ok: false,
    code: 'BAD_REQUEST',
    message: field ? `${field}: ${message}.` : `The request ${message}.`,
    faults,
  };
};

/** Reads a request and holds it to the rules of the contract. A large one takes seconds: it runs on a thread of its own. */
export default function read({ kind, text }: ReadingJob): Read {
  let body: unknown;
  try {
    body = JSON.parse(text);
  } catch {
    return { ok: false, code: 'BAD_REQUEST', message: 'The request body is not JSON.', faults: [] };
  }
  if (kind === 'save') {
    const faults = fieldFaults(SaveAirframe, body);
    if (faults.length > 0) return refused(faults);
    const crossed = saveFaults(body as SaveAirframe);
    return crossed.length > 0 ? refused(crossed) : { ok: true };
  }
  const faults = fieldFaults(ImportAirframe, body);
  if (faults.length > 0) return refused(faults);
  const file = readProjectFile((body as ImportAirframe).text);
  return file.ok ? { ok: true, airframe: JSON.stringify(file.airframe) } : file;
}
