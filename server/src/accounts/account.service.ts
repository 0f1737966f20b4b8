import { randomUUID } from 'node:crypto';
import { hash, verify } from '@node-rs/argon2';
import { UniqueConstraintError } from 'sequelize';
import { ServerProblem } from '../http/server-problem.ts';
import { Account } from '../models/index.ts';

/** Who may open what: accounts and their passwords (argon2id, the library's defaults). */
export class AccountService {
  /** A hash that no password has, so that an unknown name takes as long as a wrong password. */
  private readonly decoy = hash(randomUUID());

  async signUp(name: string, password: string): Promise<Account> {
    try {
      return await Account.create({
        id: randomUUID(),
        name: name.trim(),
        passwordHash: await hash(password),
        isDemo: false,
        createdAt: new Date(),
      });
    } catch (error) {
      if (error instanceof UniqueConstraintError) throw new ServerProblem('NAME_TAKEN', `"${name}" is taken.`);
      throw error;
    }
  }

  async signIn(name: string, password: string): Promise<Account> {
    const account = await Account.findOne({ where: { name: name.trim() } });
    const isRight = await verify(account?.passwordHash ?? (await this.decoy), password);
    if (!account?.passwordHash || !isRight) throw new ServerProblem('SIGN_IN_REFUSED');
    return account;
  }

  find(id: string): Promise<Account | null> {
    return Account.findByPk(id);
  }

  /** The account of the demo workshop, or null on a server without one. */
  demo(): Promise<Account | null> {
    return Account.findOne({ where: { isDemo: true } });
  }

  /** Makes the demo workshop's account. */
  makeDemo(): Promise<Account> {
    return Account.create({
      id: randomUUID(),
      name: 'Demo workshop',
      passwordHash: null,
      isDemo: true,
      createdAt: new Date(),
    });
  }
}
