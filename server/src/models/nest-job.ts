import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';
import type { NestJobProgress } from '@grain-fold/contract';
import type { Airframe, AirframeNest, NestScope } from '@grain-fold/core/airframe';
import { jsonText } from './json-text.ts';

/** A search for a nest that the server runs. */
export class NestJob extends Model<InferAttributes<NestJob>, InferCreationAttributes<NestJob>> {
  declare id: string;
  declare accountId: string;
  declare airframeId: string;
  declare state: 'waiting' | 'running' | 'done' | 'failed';
  /** How long it is to search, and how long it has. */
  declare seconds: number;
  declare secondsDone: CreationOptional<number>;
  /** Whether it is to end with what it has. */
  declare isStopped: CreationOptional<boolean>;
  declare scope: NestScope;
  /** What is nested, as it was when the search was asked for. */
  declare airframe: Airframe;
  declare progress: CreationOptional<NestJobProgress | null>;
  /** The best nest so far. */
  declare nest: CreationOptional<AirframeNest | null>;
  /** How often it has been taken up. */
  declare turns: CreationOptional<number>;
  declare fault: CreationOptional<string | null>;
  declare createdAt: Date;
  /** When its last turn began. */
  declare servedAt: CreationOptional<Date | null>;
  /** When it was last known to run. */
  declare beatAt: CreationOptional<Date | null>;
}

export function defineNestJob(sequelize: Sequelize): void {
  NestJob.init(
    {
      id: { type: DataTypes.CHAR(36), primaryKey: true },
      accountId: { type: DataTypes.CHAR(36), allowNull: false },
      airframeId: { type: DataTypes.CHAR(36), allowNull: false },
      state: { type: DataTypes.ENUM('waiting', 'running', 'done', 'failed'), allowNull: false },
      seconds: { type: DataTypes.INTEGER.UNSIGNED, allowNull: false },
      secondsDone: { type: DataTypes.DOUBLE, allowNull: false, defaultValue: 0 },
      isStopped: { type: DataTypes.BOOLEAN, allowNull: false, defaultValue: false },
      scope: jsonText('scope'),
      airframe: jsonText('airframe'),
      progress: jsonText('progress', true),
      nest: jsonText('nest', true),
      turns: { type: DataTypes.INTEGER.UNSIGNED, allowNull: false, defaultValue: 0 },
      fault: { type: DataTypes.STRING(500), allowNull: true },
      createdAt: { type: DataTypes.DATE(3), allowNull: false },
      servedAt: { type: DataTypes.DATE(3), allowNull: true },
      beatAt: { type: DataTypes.DATE(3), allowNull: true },
    },
    { sequelize, tableName: 'nest_jobs' },
  );
}
