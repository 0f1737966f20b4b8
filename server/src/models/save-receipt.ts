import { DataTypes, Model, type InferAttributes, type InferCreationAttributes, type Sequelize } from 'sequelize';
import type { SaveReceipt as Receipt } from '@grain-fold/contract';
import { jsonText } from './json-text.ts';

/** The last save of one browser to one airframe, and what it was answered: the same save sent again is answered the same. */
export class SaveReceiptRow extends Model<InferAttributes<SaveReceiptRow>, InferCreationAttributes<SaveReceiptRow>> {
  declare airframeId: string;
  declare client: string;
  declare saveId: string;
  declare receipt: Receipt;
  declare savedAt: Date;
}

export function defineSaveReceiptRow(sequelize: Sequelize): void {
  SaveReceiptRow.init(
    {
      airframeId: { type: DataTypes.CHAR(36), primaryKey: true },
      client: { type: DataTypes.STRING(40), primaryKey: true },
      saveId: { type: DataTypes.STRING(40), allowNull: false },
      receipt: jsonText('receipt'),
      savedAt: { type: DataTypes.DATE(3), allowNull: false },
    },
    { sequelize, tableName: 'save_receipts' },
  );
}
