import { DataTypes, Model, type InferAttributes, type InferCreationAttributes, type Sequelize } from 'sequelize';
import type { Form } from '@grain-fold/core/forms';
import { jsonText } from './json-text.ts';

/** One form of an airframe; body null once it is removed, so that its version lives on. */
export class FormRow extends Model<InferAttributes<FormRow>, InferCreationAttributes<FormRow>> {
  declare airframeId: string;
  declare id: string;
  declare position: number;
  declare version: number;
  declare body: Form | null;
}

export function defineFormRow(sequelize: Sequelize): void {
  FormRow.init(
    {
      airframeId: { type: DataTypes.CHAR(36), primaryKey: true },
      id: { type: DataTypes.STRING(40), primaryKey: true },
      position: { type: DataTypes.INTEGER.UNSIGNED, allowNull: false },
      version: { type: DataTypes.INTEGER.UNSIGNED, allowNull: false },
      body: jsonText('body', true),
    },
    { sequelize, tableName: 'forms' },
  );
}
