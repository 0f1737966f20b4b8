import { QueryTypes, type Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import { up as firstTables } from './20261125-first-tables.ts';
import { up as accountsAndReceipts } from './20261127-accounts-and-receipts.ts';
import { up as plansAndAttachments } from './20261128-plans-and-attachments.ts';
import { up as forms } from './20261129-forms.ts';
import { up as printers } from './20261130-printers.ts';
import { up as nestJobs } from './20261201-nest-jobs.ts';

/** Migrations in order; forward only, and never changed once released. */
const MIGRATIONS = [
  { name: '20261125-first-tables', up: firstTables },
  { name: '20261127-accounts-and-receipts', up: accountsAndReceipts },
  { name: '20261128-plans-and-attachments', up: plansAndAttachments },
  { name: '20261129-forms', up: forms },
  { name: '20261130-printers', up: printers },
  { name: '20261201-nest-jobs', up: nestJobs },
];

/** Seconds to wait for another server that is migrating. */
const LOCK_SECONDS = 60;

/** Brings the database's tables up to date, one server at a time. */
export async function migrate(sequelize: Sequelize): Promise<void> {
  const umzug = new Umzug({
    migrations: MIGRATIONS.map(({ name, up }) => ({
      name,
      up: async () => {
        await up(sequelize.getQueryInterface());
      },
    })),
    storage: new SequelizeStorage({ sequelize, modelName: 'migrations' }),
    logger: undefined,
  });
  // A named lock belongs to a connection, and a transaction holds one for its whole length.
  await sequelize.transaction(async (transaction) => {
    const lock = { name: 'grain_fold_migrate', seconds: LOCK_SECONDS };
    const [answer] = await sequelize.query<{ taken: number }>('SELECT GET_LOCK(:name, :seconds) AS taken', {
      replacements: lock,
      type: QueryTypes.SELECT,
      transaction,
    });
    if (answer?.taken !== 1)
      throw new Error(`Another server has been migrating the database for more than ${LOCK_SECONDS} s.`);
    try {
      await umzug.up();
    } finally {
      await sequelize.query('SELECT RELEASE_LOCK(:name)', { replacements: lock, type: QueryTypes.SELECT, transaction });
    }
  });
}
