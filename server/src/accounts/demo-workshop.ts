import fs from 'node:fs/promises';
import path from 'node:path';
import type { Sequelize, Transaction } from 'sequelize';
import { readProjectFile } from '@grain-fold/contract';
import type { Airframe as AirframeData } from '@grain-fold/core/airframe';
import type { AirframeService } from '../airframes/airframe.service.ts';
import { Airframe, SessionRow, type Account } from '../models/index.ts';
import type { AccountService } from './account.service.ts';

/** The workshop that anybody may look around in: its account and its airframes, which are put back as they were on a word. */
export class DemoWorkshop {
  constructor(
    private readonly folder: string,
    private readonly sequelize: Sequelize,
    private readonly accounts: AccountService,
    private readonly airframes: AirframeService,
  ) {}

  /** Its account, made with its airframes when it is not there; all of it or nothing. */
  account(): Promise<Account> {
    return this.sequelize.transaction(async (transaction) => {
      const known = await this.accounts.demo(transaction);
      const account = known ?? (await this.accounts.makeDemo(transaction));
      // A start that was broken off may have left an account with nothing in it.
      const isEmpty = !known || (await Airframe.count({ where: { accountId: account.id }, transaction })) === 0;
      if (isEmpty) await this.fill(account.id, transaction);
      return account;
    });
  }

  /** Takes away what anybody did there and puts its airframes back. */
  async reset(): Promise<void> {
    const account = await this.account();
    await this.sequelize.transaction(async (transaction) => {
      await Airframe.destroy({ where: { accountId: account.id }, transaction });
      await this.fill(account.id, transaction);
    });
  }

  private async fill(accountId: string, transaction: Transaction): Promise<void> {
    for (const airframe of await this.files())
      await this.airframes.store(accountId, airframe, 'Demo workshop', transaction);
  }

  private async files(): Promise<readonly AirframeData[]> {
    const names = (await fs.readdir(this.folder)).filter((name) => name.endsWith('.grainfold.json')).sort();
    return Promise.all(
      names.reverse().map(async (name) => {
        const result = readProjectFile(await fs.readFile(path.join(this.folder, name), 'utf8'));
        if (!result.ok) throw new Error(`Demo file ${name}: ${result.message}`);
        return result.airframe;
      }),
    );
  }
}

/** On a server without a demo workshop nobody stays signed in to the one that an earlier start left. */
export async function closeDemo(accounts: AccountService): Promise<void> {
  const account = await accounts.demo();
  if (account) await SessionRow.destroy({ where: { accountId: account.id } });
}
