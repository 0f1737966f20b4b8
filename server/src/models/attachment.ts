import { DataTypes, Model, type InferAttributes, type InferCreationAttributes, type Sequelize } from 'sequelize';
import type { SheetKind } from '@grain-fold/core/plan';

/** A file that an account keeps beside its airframes: a picture or a drawing to trace. Its name is its hash. */
export class Attachment extends Model<InferAttributes<Attachment>, InferCreationAttributes<Attachment>> {
  declare accountId: string;
  /** SHA-256, in hexadecimal digits. */
  declare hash: string;
  declare kind: SheetKind;
  declare bytes: number;
  declare createdAt: Date;
}

/** A stretch of a file: short enough for one packet to the database. */
export class AttachmentPiece extends Model<InferAttributes<AttachmentPiece>, InferCreationAttributes<AttachmentPiece>> {
  declare accountId: string;
  declare hash: string;
  declare number: number;
  declare body: Buffer;
}

export function defineAttachment(sequelize: Sequelize): void {
  const key = {
    accountId: { type: DataTypes.CHAR(36), primaryKey: true },
    hash: { type: DataTypes.CHAR(64), primaryKey: true },
  };
  Attachment.init(
    {
      ...key,
      kind: { type: DataTypes.STRING(8), allowNull: false },
      bytes: { type: DataTypes.INTEGER.UNSIGNED, allowNull: false },
      createdAt: { type: DataTypes.DATE(3), allowNull: false },
    },
    { sequelize, tableName: 'attachments' },
  );
  AttachmentPiece.init(
    {
      ...key,
      number: { type: DataTypes.INTEGER.UNSIGNED, primaryKey: true },
      body: { type: DataTypes.BLOB('medium'), allowNull: false },
    },
    { sequelize, tableName: 'attachment_pieces' },
  );
}
