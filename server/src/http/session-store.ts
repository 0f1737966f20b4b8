import { createHash } from 'node:crypto';
import { Op } from 'sequelize';
import { SessionRow } from '../models/index.ts';

const hashOf = (key: string): string => createHash('sha256').update(key).digest('hex');

/** Sessions as rows of the database. */
export const sessionStore = {
  async get(key: string): Promise<Record<string, unknown> | undefined> {
    const row = await SessionRow.findOne({ where: { keyHash: hashOf(key), expiresAt: { [Op.gt]: new Date() } } });
    return row?.body;
  },
  async set(key: string, body: Record<string, unknown>, maxAge: number | 'session' | undefined): Promise<void> {
    const lifetime = typeof maxAge === 'number' ? maxAge : 86_400_000;
    const { accountId } = body;
    await SessionRow.upsert({
      keyHash: hashOf(key),
      accountId: typeof accountId === 'string' ? accountId : null,
      body,
      expiresAt: new Date(Date.now() + lifetime),
    });
  },
  async destroy(key: string): Promise<void> {
    await SessionRow.destroy({
      where: { [Op.or]: [{ keyHash: hashOf(key) }, { expiresAt: { [Op.lt]: new Date() } }] },
    });
  },
};
