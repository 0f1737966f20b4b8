import { DataTypes, Model, type InferAttributes, type InferCreationAttributes, type Sequelize } from 'sequelize';
import type { Printer } from '@grain-fold/core/printers';
import { jsonText } from './json-text.ts';

/** A printer of a workshop, as it was measured. */
export class PrinterRow extends Model<InferAttributes<PrinterRow>, InferCreationAttributes<PrinterRow>> {
  declare accountId: string;
  declare id: string;
  declare body: Printer;
}

export function definePrinterRow(sequelize: Sequelize): void {
  PrinterRow.init(
    {
      accountId: { type: DataTypes.CHAR(36), primaryKey: true },
      id: { type: DataTypes.STRING(40), primaryKey: true },
      body: jsonText('body'),
    },
    { sequelize, tableName: 'printers' },
  );
}
