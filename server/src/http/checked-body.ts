import { fieldFaults } from '@grain-fold/contract';
import { ServerProblem } from './server-problem.ts';

/** A request whose body was read as JSON. */
export interface BodyContext {
  readonly request: { readonly body?: unknown };
}

/** The request's body, once it keeps the rules of a contract class. @throws ServerProblem BAD_REQUEST naming every field */
export function checkedBody<T extends object>({ request }: BodyContext, rules: new () => T): T {
  const faults = fieldFaults(rules, request.body);
  const first = faults[0];
  if (first)
    throw new ServerProblem(
      'BAD_REQUEST',
      first.field ? `${first.field}: ${first.message}.` : `The request ${first.message}.`,
      { fields: faults },
    );
  return request.body as T;
}
