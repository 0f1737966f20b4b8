import { DataTypes, Model, type InferAttributes, type InferCreationAttributes, type Sequelize } from 'sequelize';
import { jsonText } from './json-text.ts';

/** One save of an airframe. */
export class Revision extends Model<InferAttributes<Revision>, InferCreationAttributes<Revision>> {
  declare airframeId: string;
  declare number: number;
  declare label: string;
  declare savedAt: Date;
}

/** What a save left one thing as; the state at a revision is each thing's last entry up to it. */
export class RevisionEntry extends Model<InferAttributes<RevisionEntry>, InferCreationAttributes<RevisionEntry>> {
  declare airframeId: string;
  declare number: number;
  declare kind: 'name' | 'settings' | 'part' | 'board' | 'nest' | 'plan' | 'form';
  declare entityId: string;
  declare position: number;
  declare body: unknown;
}

export function defineRevision(sequelize: Sequelize): void {
  Revision.init(
    {
      airframeId: { type: DataTypes.CHAR(36), primaryKey: true },
      number: { type: DataTypes.INTEGER.UNSIGNED, primaryKey: true },
      label: { type: DataTypes.STRING(200), allowNull: false },
      savedAt: { type: DataTypes.DATE(3), allowNull: false },
    },
    { sequelize, tableName: 'revisions' },
  );
}

export function defineRevisionEntry(sequelize: Sequelize): void {
  RevisionEntry.init(
    {
      airframeId: { type: DataTypes.CHAR(36), primaryKey: true },
      number: { type: DataTypes.INTEGER.UNSIGNED, primaryKey: true },
      kind: { type: DataTypes.ENUM('name', 'settings', 'part', 'board', 'nest', 'plan', 'form'), primaryKey: true },
      entityId: { type: DataTypes.STRING(40), primaryKey: true },
      position: { type: DataTypes.INTEGER.UNSIGNED, allowNull: false },
      body: jsonText('body', true),
    },
    { sequelize, tableName: 'revision_entries' },
  );
}
