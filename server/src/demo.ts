import fs from 'node:fs/promises';
import path from 'node:path';
import { readProjectFile } from '@grain-fold/contract';
import type { AccountService } from './accounts/account.service.ts';
import type { AirframeService } from './airframes/airframe.service.ts';

/** Loads the demo workshop's airframes once; a workshop that exists is left as it is. */
export async function loadDemo(folder: string, accounts: AccountService, airframes: AirframeService): Promise<void> {
  if (await accounts.demo()) return;
  const files = (await fs.readdir(folder))
    .filter((name) => name.endsWith('.grainfold.json'))
    .sort()
    .reverse();
  const read = await Promise.all(
    files.map(async (name) => {
      const result = readProjectFile(await fs.readFile(path.join(folder, name), 'utf8'));
      if (!result.ok) throw new Error(`Demo file ${name}: ${result.message}`);
      return result.airframe;
    }),
  );
  const account = await accounts.makeDemo();
  for (const airframe of read) await airframes.store(account.id, airframe, 'Demo workshop');
}
