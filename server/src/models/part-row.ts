import { DataTypes, Model, type InferAttributes, type InferCreationAttributes, type Sequelize } from 'sequelize';
import type { Part } from '@grain-fold/core/part';
import { jsonText } from './json-text.ts';

/** One part of an airframe; body null once it is removed, so that its version lives on. */
export class PartRow extends Model<InferAttributes<PartRow>, InferCreationAttributes<PartRow>> {
  declare airframeId: string;
  declare id: string;
  declare position: number;
  declare version: number;
  declare body: Part | null;
}

export function definePartRow(sequelize: Sequelize): void {
  PartRow.init(
    {
      airframeId: { type: DataTypes.CHAR(36), primaryKey: true },
      id: { type: DataTypes.STRING(40), primaryKey: true },
      position: { type: DataTypes.INTEGER.UNSIGNED, allowNull: false },
      version: { type: DataTypes.INTEGER.UNSIGNED, allowNull: false },
      body: jsonText('body', true),
    },
    { sequelize, tableName: 'parts' },
  );
}
