import type { QueryInterface } from 'sequelize';

/** The first tables: accounts and sessions, airframes with their parts, boards and nest, and their revisions. Safe to run again. */
export async function up(queries: QueryInterface): Promise<void> {
  const owner = 'FOREIGN KEY (airframe_id) REFERENCES airframes (id) ON DELETE CASCADE';
  const statements = [
    `CREATE TABLE IF NOT EXISTS accounts (
      id CHAR(36) CHARACTER SET ascii PRIMARY KEY, name VARCHAR(40) NOT NULL UNIQUE, password_hash VARCHAR(200) NULL, is_demo TINYINT(1) NOT NULL, created_at DATETIME(3) NOT NULL)`,
    `CREATE TABLE IF NOT EXISTS sessions (
      key_hash CHAR(64) CHARACTER SET ascii PRIMARY KEY, body LONGTEXT NOT NULL, expires_at DATETIME(3) NOT NULL, INDEX (expires_at))`,
    `CREATE TABLE IF NOT EXISTS airframes (
      id CHAR(36) CHARACTER SET ascii PRIMARY KEY, account_id CHAR(36) CHARACTER SET ascii NOT NULL, name VARCHAR(80) NOT NULL, version INT UNSIGNED NOT NULL,
      settings LONGTEXT NOT NULL CHECK (JSON_VALID(settings)), settings_version INT UNSIGNED NOT NULL, thumbnail LONGTEXT NOT NULL, boards_used INT UNSIGNED NULL,
      saved_at DATETIME(3) NOT NULL, put_away_at DATETIME(3) NULL, INDEX (account_id, saved_at), FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE)`,
    ...['parts', 'boards'].map(
      (table) => `CREATE TABLE IF NOT EXISTS ${table} (
      airframe_id CHAR(36) CHARACTER SET ascii NOT NULL, id VARCHAR(40) CHARACTER SET ascii COLLATE ascii_bin NOT NULL, position INT UNSIGNED NOT NULL, version INT UNSIGNED NOT NULL,
      body LONGTEXT NULL CHECK (JSON_VALID(body)), PRIMARY KEY (airframe_id, id), ${owner})`,
    ),
    `CREATE TABLE IF NOT EXISTS nests (
      airframe_id CHAR(36) CHARACTER SET ascii PRIMARY KEY, version INT UNSIGNED NOT NULL, body LONGTEXT NULL CHECK (JSON_VALID(body)), ${owner})`,
    `CREATE TABLE IF NOT EXISTS revisions (
      airframe_id CHAR(36) CHARACTER SET ascii NOT NULL, number INT UNSIGNED NOT NULL, label VARCHAR(200) NOT NULL, saved_at DATETIME(3) NOT NULL, PRIMARY KEY (airframe_id, number), ${owner})`,
    `CREATE TABLE IF NOT EXISTS revision_entries (
      airframe_id CHAR(36) CHARACTER SET ascii NOT NULL, number INT UNSIGNED NOT NULL, kind ENUM('name', 'settings', 'part', 'board', 'nest') NOT NULL,
      entity_id VARCHAR(40) CHARACTER SET ascii COLLATE ascii_bin NOT NULL, position INT UNSIGNED NOT NULL, body LONGTEXT NULL CHECK (JSON_VALID(body)),
      PRIMARY KEY (airframe_id, number, kind, entity_id), ${owner})`,
  ];
  for (const statement of statements) await queries.sequelize.query(statement);
}
