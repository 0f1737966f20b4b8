import { DataTypes, Model, type InferAttributes, type InferCreationAttributes, type Sequelize } from 'sequelize';
import type { AirframeNest } from '@grain-fold/core/airframe';
import { jsonText } from './json-text.ts';

/** The nest that an airframe keeps; body null when it keeps none. */
export class NestRow extends Model<InferAttributes<NestRow>, InferCreationAttributes<NestRow>> {
  declare airframeId: string;
  declare version: number;
  declare body: AirframeNest | null;
}

export function defineNestRow(sequelize: Sequelize): void {
  NestRow.init(
    {
      airframeId: { type: DataTypes.CHAR(36), primaryKey: true },
      version: { type: DataTypes.INTEGER.UNSIGNED, allowNull: false },
      body: jsonText('body', true),
    },
    { sequelize, tableName: 'nests' },
  );
}
