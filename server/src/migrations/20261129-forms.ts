import type { QueryInterface } from 'sequelize';

/** Forms of airframes, from which parts are made. Safe to run again. */
export async function up({ sequelize }: QueryInterface): Promise<void> {
  for (const statement of [
    `CREATE TABLE IF NOT EXISTS forms (
      airframe_id CHAR(36) CHARACTER SET ascii NOT NULL, id VARCHAR(40) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
      position INT UNSIGNED NOT NULL, version INT UNSIGNED NOT NULL, body LONGTEXT NULL CHECK (JSON_VALID(body)),
      PRIMARY KEY (airframe_id, id), FOREIGN KEY (airframe_id) REFERENCES airframes (id) ON DELETE CASCADE)`,
    `ALTER TABLE revision_entries MODIFY COLUMN kind ENUM('name', 'settings', 'part', 'board', 'nest', 'plan', 'form') NOT NULL`,
  ])
    await sequelize.query(statement);
}
