import { QueryTypes, type QueryInterface } from 'sequelize';
import { foldedName } from '../accounts/folded-name.ts';

/**
 * Names that look alike are one, sessions tell whose they are, airframes how much they take, and the last save of each browser is
 * remembered. Safe to run again.
 */
export async function up(queries: QueryInterface): Promise<void> {
  const { sequelize } = queries;
  for (const statement of [
    'ALTER TABLE accounts ADD COLUMN IF NOT EXISTS folded_name VARCHAR(80) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NULL',
    'ALTER TABLE sessions ADD COLUMN IF NOT EXISTS account_id CHAR(36) CHARACTER SET ascii NULL, ADD INDEX IF NOT EXISTS session_account (account_id, expires_at)',
    'ALTER TABLE airframes ADD COLUMN IF NOT EXISTS bytes BIGINT UNSIGNED NOT NULL DEFAULT 0',
    `UPDATE airframes SET bytes = (
      SELECT COALESCE(SUM(COALESCE(LENGTH(body), 0)), 0) FROM revision_entries WHERE revision_entries.airframe_id = airframes.id)`,
    "UPDATE sessions SET account_id = JSON_VALUE(body, '$.accountId') WHERE account_id IS NULL",
    `CREATE TABLE IF NOT EXISTS save_receipts (
      airframe_id CHAR(36) CHARACTER SET ascii NOT NULL, client VARCHAR(40) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
      save_id VARCHAR(40) CHARACTER SET ascii COLLATE ascii_bin NOT NULL, receipt LONGTEXT NOT NULL CHECK (JSON_VALID(receipt)),
      saved_at DATETIME(3) NOT NULL, PRIMARY KEY (airframe_id, client), FOREIGN KEY (airframe_id) REFERENCES airframes (id) ON DELETE CASCADE)`,
  ])
    await sequelize.query(statement);
  await foldNames(queries);
  await sequelize.query('ALTER TABLE accounts ADD UNIQUE INDEX IF NOT EXISTS account_folded_name (folded_name)');
}

/** The folded name of every account there is; of two that look alike the later is known by its name as it is written alone. */
async function foldNames({ sequelize }: QueryInterface): Promise<void> {
  const accounts = await sequelize.query<{ id: string; name: string }>(
    'SELECT id, name FROM accounts ORDER BY created_at, id',
    { type: QueryTypes.SELECT },
  );
  const taken = new Set<string>();
  for (const { id, name } of accounts) {
    const folded = foldedName(name),
      own = taken.has(folded) ? `${folded} ${id}` : folded;
    taken.add(own);
    await sequelize.query('UPDATE accounts SET folded_name = :own WHERE id = :id', { replacements: { own, id } });
  }
}
