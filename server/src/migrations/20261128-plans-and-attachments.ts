import type { QueryInterface } from 'sequelize';

/** Plans of airframes, and files that accounts keep beside them: pictures and drawings to trace. Safe to run again. */
export async function up({ sequelize }: QueryInterface): Promise<void> {
  for (const statement of [
    `CREATE TABLE IF NOT EXISTS plans (
      airframe_id CHAR(36) CHARACTER SET ascii PRIMARY KEY, version INT UNSIGNED NOT NULL, body LONGTEXT NULL CHECK (JSON_VALID(body)),
      FOREIGN KEY (airframe_id) REFERENCES airframes (id) ON DELETE CASCADE)`,
    `CREATE TABLE IF NOT EXISTS attachments (
      account_id CHAR(36) CHARACTER SET ascii NOT NULL, hash CHAR(64) CHARACTER SET ascii NOT NULL, kind VARCHAR(8) CHARACTER SET ascii NOT NULL,
      bytes INT UNSIGNED NOT NULL, created_at DATETIME(3) NOT NULL, PRIMARY KEY (account_id, hash),
      FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE)`,
    `CREATE TABLE IF NOT EXISTS attachment_pieces (
      account_id CHAR(36) CHARACTER SET ascii NOT NULL, hash CHAR(64) CHARACTER SET ascii NOT NULL, number INT UNSIGNED NOT NULL,
      body MEDIUMBLOB NOT NULL, PRIMARY KEY (account_id, hash, number),
      FOREIGN KEY (account_id, hash) REFERENCES attachments (account_id, hash) ON DELETE CASCADE)`,
    `ALTER TABLE revision_entries MODIFY COLUMN kind ENUM('name', 'settings', 'part', 'board', 'nest', 'plan') NOT NULL`,
  ])
    await sequelize.query(statement);
}
