import { DataTypes, Model, type InferAttributes, type InferCreationAttributes, type Sequelize } from 'sequelize';
import type { Plan } from '@grain-fold/core/plan';
import { jsonText } from './json-text.ts';

/** The plan of an airframe; body null when it has none. */
export class PlanRow extends Model<InferAttributes<PlanRow>, InferCreationAttributes<PlanRow>> {
  declare airframeId: string;
  declare version: number;
  declare body: Plan | null;
}

export function definePlanRow(sequelize: Sequelize): void {
  PlanRow.init(
    {
      airframeId: { type: DataTypes.CHAR(36), primaryKey: true },
      version: { type: DataTypes.INTEGER.UNSIGNED, allowNull: false },
      body: jsonText('body', true),
    },
    { sequelize, tableName: 'plans' },
  );
}
