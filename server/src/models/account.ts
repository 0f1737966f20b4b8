import { DataTypes, Model, type InferAttributes, type InferCreationAttributes, type Sequelize } from 'sequelize';

/** A builder who signs in. */
export class Account extends Model<InferAttributes<Account>, InferCreationAttributes<Account>> {
  declare id: string;
  declare name: string;
  /** The name by its looks, see folded-name.ts. */
  declare foldedName: string;
  /** argon2id; null for the demo workshop, which nobody signs in to by password. */
  declare passwordHash: string | null;
  declare isDemo: boolean;
  declare createdAt: Date;
}

export function defineAccount(sequelize: Sequelize): void {
  Account.init(
    {
      id: { type: DataTypes.CHAR(36), primaryKey: true },
      name: { type: DataTypes.STRING(40), allowNull: false, unique: true },
      foldedName: { type: DataTypes.STRING(80), allowNull: false, unique: true },
      passwordHash: { type: DataTypes.STRING(200), allowNull: true },
      isDemo: { type: DataTypes.BOOLEAN, allowNull: false },
      createdAt: { type: DataTypes.DATE(3), allowNull: false },
    },
    { sequelize, tableName: 'accounts' },
  );
}
