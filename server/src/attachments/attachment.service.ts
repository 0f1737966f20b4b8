import { createHash } from 'node:crypto';
import { UniqueConstraintError, type Sequelize, type Transaction } from 'sequelize';
import type { KeptAttachment } from '@grain-fold/contract';
import { sheetFacts } from '@grain-fold/core/formats';
import type { SheetKind } from '@grain-fold/core/plan';
import { roomForVersion } from '../airframes/workshop-bounds.ts';
import { ServerProblem } from '../http/server-problem.ts';
import { Attachment, AttachmentPiece } from '../models/index.ts';

/** A stretch of a file in one row: doubled by the way it is written, it stays well within a packet to the database. */
const PIECE_BYTES = 4 * 1024 * 1024;

/** Files that accounts keep beside their airframes, by their hash. Every query names the owner. */
export class AttachmentService {
  constructor(private readonly sequelize: Sequelize) {}

  /**
   * Keeps a file; one that is there already is not kept twice.
   * @throws ServerProblem ATTACHMENT_REFUSED for what is no picture or drawing, or is cut off; WORKSHOP_FULL or DEMO_FULL
   */
  async keep(accountId: string, name: string, bytes: Buffer, within?: Transaction): Promise<KeptAttachment> {
    const facts = sheetFacts(name, bytes);
    if (!facts.ok) throw new ServerProblem('ATTACHMENT_REFUSED', facts.message);
    const { ok: _ok, ...told } = facts;
    const hash = createHash('sha256').update(bytes).digest('hex');
    const store = async (transaction: Transaction): Promise<void> => {
      if (await Attachment.findOne({ where: { accountId, hash }, transaction })) return;
      await roomForVersion(accountId, transaction, bytes.length);
      await Attachment.create(
        { accountId, hash, kind: facts.kind, bytes: bytes.length, createdAt: new Date() },
        { transaction },
      );
      for (let number = 0; number * PIECE_BYTES < bytes.length; number++)
        await AttachmentPiece.create(
          { accountId, hash, number, body: bytes.subarray(number * PIECE_BYTES, (number + 1) * PIECE_BYTES) },
          { transaction },
        );
    };
    try {
      await (within ? store(within) : this.sequelize.transaction(store));
    } catch (error) {
      // Another request kept the same file meanwhile.
      if (!(error instanceof UniqueConstraintError)) throw error;
    }
    return { hash, bytes: bytes.length, ...told };
  }

  /** A file of an account. @throws ServerProblem NOT_FOUND */
  async read(accountId: string, hash: string): Promise<{ readonly kind: SheetKind; readonly bytes: Buffer }> {
    const row = await Attachment.findOne({ where: { accountId, hash } });
    if (!row) throw new ServerProblem('NOT_FOUND', 'There is no such picture in your workshop.');
    const pieces = await AttachmentPiece.findAll({ where: { accountId, hash }, order: [['number', 'ASC']] });
    return { kind: row.kind, bytes: Buffer.concat(pieces.map(({ body }) => body)) };
  }

  /** The files of an account among some hashes. */
  async among(
    accountId: string,
    hashes: readonly string[],
  ): Promise<readonly { kind: SheetKind; hash: string; bytes: Buffer }[]> {
    const found = [];
    for (const hash of new Set(hashes)) {
      if (!(await Attachment.findOne({ where: { accountId, hash } }))) continue;
      found.push({ hash, ...(await this.read(accountId, hash)) });
    }
    return found;
  }
}
