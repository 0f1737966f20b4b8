import { randomUUID } from 'node:crypto';
import { hash, verify } from '@node-rs/argon2';
import { UniqueConstraintError, type Transaction } from 'sequelize';
import { ServerProblem } from '../http/server-problem.ts';
import { Account, SessionRow } from '../models/index.ts';
import { foldedName } from './folded-name.ts';
import { normalPassword, passwordFault } from './password-fault.ts';

/** Browsers that may be signed in to one account at once; those that came first are signed out. */
const MOST_SESSIONS = 20,
  MOST_DEMO_SESSIONS = 200;
/** Nobody else's, whether the server has a demo workshop or not. */
const DEMO_NAME = 'Demo workshop';

/** Who may open what: accounts and their passwords (argon2id, the library's defaults). */
export class AccountService {
  /** A hash that no password has, so that an unknown name takes as long as a wrong password. */
  private readonly decoy = hash(randomUUID());

  /** @throws ServerProblem NAME_TAKEN for a name that is, or looks like, another's; BAD_REQUEST for a password that is easily guessed */
  async signUp(name: string, password: string): Promise<Account> {
    refuseGuessable(password, name, 'password');
    if (foldedName(name) === foldedName(DEMO_NAME)) throw nameTaken(name);
    try {
      return await Account.create({
        id: randomUUID(),
        name: name.trim(),
        foldedName: foldedName(name),
        passwordHash: await hash(normalPassword(password)),
        isDemo: false,
        createdAt: new Date(),
      });
    } catch (error) {
      if (error instanceof UniqueConstraintError) throw nameTaken(name);
      throw error;
    }
  }

  async signIn(name: string, password: string): Promise<Account> {
    // By the name itself first: of two accounts from before names were folded, both are still signed in to.
    const account =
      (await Account.findOne({ where: { name: name.trim() } })) ??
      (await Account.findOne({ where: { foldedName: foldedName(name) } }));
    if (!(await isPassword(account?.passwordHash ?? (await this.decoy), password)) || !account?.passwordHash)
      throw new ServerProblem('SIGN_IN_REFUSED');
    return account;
  }

  /** Gives an account another password and signs every browser out. @throws ServerProblem SIGN_IN_REFUSED when the present one is wrong */
  async changePassword(accountId: string, present: string, next: string): Promise<void> {
    const account = await Account.findByPk(accountId);
    if (!account?.passwordHash) throw new ServerProblem('BAD_REQUEST', 'The demo workshop has no password.');
    if (!(await isPassword(account.passwordHash, present)))
      throw new ServerProblem('SIGN_IN_REFUSED', 'The present password is wrong.');
    refuseGuessable(next, account.name, 'next');
    account.passwordHash = await hash(normalPassword(next));
    await account.save();
    await SessionRow.destroy({ where: { accountId } });
  }

  /** Signs out the browsers that came first, where an account has more than it may have. */
  async boundSessions({ id, isDemo }: Account): Promise<void> {
    const rows = await SessionRow.findAll({
      attributes: ['keyHash'],
      where: { accountId: id },
      order: [['expiresAt', 'DESC']],
      offset: (isDemo ? MOST_DEMO_SESSIONS : MOST_SESSIONS) - 1,
      limit: 1000,
    });
    if (rows.length > 0) await SessionRow.destroy({ where: { keyHash: rows.map(({ keyHash }) => keyHash) } });
  }

  find(id: string): Promise<Account | null> {
    return Account.findByPk(id);
  }

  /** The account of the demo workshop, or null while there is none. */
  demo(transaction?: Transaction): Promise<Account | null> {
    return Account.findOne({ where: { isDemo: true }, transaction });
  }

  /** Makes the demo workshop's account; under its name with a number where somebody took the name before it was kept. */
  async makeDemo(transaction: Transaction): Promise<Account> {
    let name = DEMO_NAME;
    for (let count = 2; await Account.findOne({ where: { foldedName: foldedName(name) }, transaction }); count++)
      name = `${DEMO_NAME} ${count}`;
    return Account.create(
      { id: randomUUID(), name, foldedName: foldedName(name), passwordHash: null, isDemo: true, createdAt: new Date() },
      { transaction },
    );
  }
}

const nameTaken = (name: string): ServerProblem =>
  new ServerProblem('NAME_TAKEN', `"${name}" is taken, or looks like a name that is.`);

function refuseGuessable(password: string, name: string, field: string): void {
  const message = passwordFault(password, name);
  if (message) throw new ServerProblem('BAD_REQUEST', `${field}: ${message}.`, { fields: [{ field, message }] });
}

/** Whether a password is that of a hash; accounts from before letters were made one may have it as it was typed. */
const isPassword = async (passwordHash: string, password: string): Promise<boolean> =>
  (await verify(passwordHash, normalPassword(password))) ||
  (normalPassword(password) !== password && (await verify(passwordHash, password)));
