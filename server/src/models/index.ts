import { Sequelize } from 'sequelize';
import type { Config } from '../config.ts';
import { Account, defineAccount } from './account.ts';
import { Airframe, defineAirframe } from './airframe.ts';
import { BoardRow, defineBoardRow } from './board-row.ts';
import { Attachment, AttachmentPiece, defineAttachment } from './attachment.ts';
import { defineFormRow, FormRow } from './form-row.ts';
import { defineNestJob, NestJob } from './nest-job.ts';
import { defineNestRow, NestRow } from './nest-row.ts';
import { definePartRow, PartRow } from './part-row.ts';
import { definePlanRow, PlanRow } from './plan-row.ts';
import { definePrinterRow, PrinterRow } from './printer-row.ts';
import { defineRevision, defineRevisionEntry, Revision, RevisionEntry } from './revision.ts';
import { defineSaveReceiptRow, SaveReceiptRow } from './save-receipt.ts';
import { defineSessionRow, SessionRow } from './session-row.ts';

export {
  Account,
  Airframe,
  Attachment,
  AttachmentPiece,
  BoardRow,
  FormRow,
  NestJob,
  NestRow,
  PartRow,
  PlanRow,
  PrinterRow,
  Revision,
  RevisionEntry,
  SaveReceiptRow,
  SessionRow,
};

/** Connects to MariaDB and binds every model to the connection. */
export function connect(database: Config['database']): Sequelize {
  const sequelize = new Sequelize(database.name, database.user, database.password, {
    dialect: 'mariadb',
    host: database.host,
    port: database.port,
    logging: false,
    timezone: '+00:00',
    pool: { max: 8, min: 0, acquire: 10_000, idle: 10_000 },
    // JSON is read by the models, see json-text.ts.
    dialectOptions: { connectTimeout: 5000, autoJsonMap: false },
    define: { timestamps: false, underscored: true },
  });
  for (const define of [
    defineAccount,
    defineSessionRow,
    defineAirframe,
    definePartRow,
    defineBoardRow,
    defineFormRow,
    defineNestRow,
    defineNestJob,
    definePlanRow,
    definePrinterRow,
    defineAttachment,
    defineRevision,
    defineRevisionEntry,
    defineSaveReceiptRow,
  ])
    define(sequelize);
  return sequelize;
}
