import { DataTypes, Model, type InferAttributes, type InferCreationAttributes, type Sequelize } from 'sequelize';
import type { Board } from '@grain-fold/core/stock';
import { jsonText } from './json-text.ts';

/** One board of an airframe; body null once it is removed, so that its version lives on. */
export class BoardRow extends Model<InferAttributes<BoardRow>, InferCreationAttributes<BoardRow>> {
  declare airframeId: string;
  declare id: string;
  declare position: number;
  declare version: number;
  declare body: Board | null;
}

export function defineBoardRow(sequelize: Sequelize): void {
  BoardRow.init(
    {
      airframeId: { type: DataTypes.CHAR(36), primaryKey: true },
      id: { type: DataTypes.STRING(40), primaryKey: true },
      position: { type: DataTypes.INTEGER.UNSIGNED, allowNull: false },
      version: { type: DataTypes.INTEGER.UNSIGNED, allowNull: false },
      body: jsonText('body', true),
    },
    { sequelize, tableName: 'boards' },
  );
}
