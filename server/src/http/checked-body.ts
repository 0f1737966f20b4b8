import type { Context } from 'koa';
import { fieldFaults } from '@grain-fold/contract';
import { ServerProblem } from './server-problem.ts';

/** The request's body, once it keeps the rules of a contract class. @throws ServerProblem BAD_REQUEST naming every field */
export function checkedBody<T extends object>(ctx: Context, rules: new () => T): T {
  const body: unknown = (ctx.request as { body?: unknown }).body;
  const faults = fieldFaults(rules, body);
  const first = faults[0];
  if (first)
    throw new ServerProblem(
      'BAD_REQUEST',
      first.field ? `${first.field}: ${first.message}.` : `The request ${first.message}.`,
      { fields: faults },
    );
  return body as T;
}
