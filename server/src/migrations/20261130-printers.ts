import type { QueryInterface } from 'sequelize';

/** Printers of workshops, as they were measured. Safe to run again. */
export async function up({ sequelize }: QueryInterface): Promise<void> {
  await sequelize.query(
    `CREATE TABLE IF NOT EXISTS printers (
      account_id CHAR(36) CHARACTER SET ascii NOT NULL, id VARCHAR(40) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
      body LONGTEXT NOT NULL CHECK (JSON_VALID(body)),
      PRIMARY KEY (account_id, id), FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE)`,
  );
}
