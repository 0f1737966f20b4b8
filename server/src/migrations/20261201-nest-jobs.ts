import type { QueryInterface } from 'sequelize';

/** Searches for nests that the server runs: what is searched, for whom, and how far it has come. Safe to run again. */
export async function up({ sequelize }: QueryInterface): Promise<void> {
  await sequelize.query(
    `CREATE TABLE IF NOT EXISTS nest_jobs (
      id CHAR(36) CHARACTER SET ascii PRIMARY KEY, account_id CHAR(36) CHARACTER SET ascii NOT NULL, airframe_id CHAR(36) CHARACTER SET ascii NOT NULL,
      state ENUM('waiting', 'running', 'done', 'failed') NOT NULL, seconds INT UNSIGNED NOT NULL, seconds_done DOUBLE NOT NULL DEFAULT 0,
      is_stopped TINYINT(1) NOT NULL DEFAULT 0, scope LONGTEXT NOT NULL CHECK (JSON_VALID(scope)), airframe LONGTEXT NOT NULL CHECK (JSON_VALID(airframe)),
      progress LONGTEXT NULL CHECK (JSON_VALID(progress)), nest LONGTEXT NULL CHECK (JSON_VALID(nest)), turns INT UNSIGNED NOT NULL DEFAULT 0, fault VARCHAR(500) NULL,
      created_at DATETIME(3) NOT NULL, served_at DATETIME(3) NULL, beat_at DATETIME(3) NULL,
      INDEX (state, served_at), INDEX (account_id), FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE,
      FOREIGN KEY (airframe_id) REFERENCES airframes (id) ON DELETE CASCADE)`,
  );
}
