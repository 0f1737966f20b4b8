import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';
import type { AirframeLine } from '@grain-fold/contract';
import type { AirframeSettings } from '@grain-fold/core/airframe';
import { jsonText } from './json-text.ts';

/** An airframe of one account; its version counts its saves. */
export class Airframe extends Model<InferAttributes<Airframe>, InferCreationAttributes<Airframe>> {
  declare id: string;
  declare accountId: string;
  declare name: string;
  declare version: number;
  declare settings: AirframeSettings;
  declare settingsVersion: number;
  declare thumbnail: AirframeLine['thumbnail'];
  declare boardsUsed: number | null;
  /** What its versions take, in bytes. */
  declare bytes: CreationOptional<number>;
  declare savedAt: Date;
  declare putAwayAt: Date | null;
}

export function defineAirframe(sequelize: Sequelize): void {
  Airframe.init(
    {
      id: { type: DataTypes.CHAR(36), primaryKey: true },
      accountId: { type: DataTypes.CHAR(36), allowNull: false },
      name: { type: DataTypes.STRING(80), allowNull: false },
      version: { type: DataTypes.INTEGER.UNSIGNED, allowNull: false },
      settings: jsonText('settings'),
      settingsVersion: { type: DataTypes.INTEGER.UNSIGNED, allowNull: false },
      thumbnail: jsonText('thumbnail'),
      boardsUsed: { type: DataTypes.INTEGER.UNSIGNED, allowNull: true },
      bytes: { type: DataTypes.BIGINT.UNSIGNED, allowNull: false, defaultValue: 0 },
      savedAt: { type: DataTypes.DATE(3), allowNull: false },
      putAwayAt: { type: DataTypes.DATE(3), allowNull: true },
    },
    { sequelize, tableName: 'airframes' },
  );
}
