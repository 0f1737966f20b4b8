import { RateLimiterMemory, type RateLimiterRes } from 'rate-limiter-flexible';
import { ServerProblem } from '../http/server-problem.ts';
import { foldedName } from './folded-name.ts';

/** Wrong passwords for one name, from wherever they come, and over how many seconds. */
const MOST_WRONG = 20,
  WRONG_SECONDS = 900;

/** How often may be tried to sign in: from one address in a minute, and with a wrong password for one name. */
export class SignInLimits {
  private readonly byAddress: RateLimiterMemory;
  private readonly byName = new RateLimiterMemory({ points: MOST_WRONG, duration: WRONG_SECONDS });

  constructor(triesAMinute: number) {
    this.byAddress = new RateLimiterMemory({ points: triesAMinute, duration: 60 });
  }

  /** Counts a try from an address. @throws ServerProblem TOO_MANY_TRIES */
  async fromAddress(address: string): Promise<void> {
    await this.byAddress.consume(address).catch(refuse);
  }

  /** Does what checks a password, no more once a name has had too many wrong ones. @throws ServerProblem TOO_MANY_TRIES */
  async forName<T>(name: string, check: () => Promise<T>): Promise<T> {
    const key = foldedName(name);
    const before = await this.byName.get(key);
    if (before && before.remainingPoints <= 0) refuse(before);
    try {
      const result = await check();
      await this.byName.delete(key);
      return result;
    } catch (error) {
      if (error instanceof ServerProblem && error.code === 'SIGN_IN_REFUSED')
        await this.byName.consume(key).catch(() => undefined); // what is over the limit is refused at the next try
      throw error;
    }
  }
}

/** Over the limit a limiter rejects with a count, not with an error; an error is a fault of its own. */
function refuse(reason: RateLimiterRes | Error): never {
  if (reason instanceof Error) throw reason;
  const seconds = Math.max(1, Math.ceil(reason.msBeforeNext / 1000));
  throw new ServerProblem('TOO_MANY_TRIES', `Too many tries: the next one is possible in ${seconds} s.`, {
    retryAfterSeconds: seconds,
  });
}
