import { DataTypes, Model, type InferAttributes, type InferCreationAttributes, type Sequelize } from 'sequelize';
import { jsonText } from './json-text.ts';

/** A signed-in browser. The key is kept as its SHA-256, so that a read of the table opens no session. */
export class SessionRow extends Model<InferAttributes<SessionRow>, InferCreationAttributes<SessionRow>> {
  declare keyHash: string;
  /** Whose it is; null until somebody has signed in. */
  declare accountId: string | null;
  declare body: Record<string, unknown>;
  declare expiresAt: Date;
}

export function defineSessionRow(sequelize: Sequelize): void {
  SessionRow.init(
    {
      keyHash: { type: DataTypes.CHAR(64), primaryKey: true },
      accountId: { type: DataTypes.CHAR(36), allowNull: true },
      body: jsonText('body'),
      expiresAt: { type: DataTypes.DATE(3), allowNull: false },
    },
    { sequelize, tableName: 'sessions' },
  );
}
