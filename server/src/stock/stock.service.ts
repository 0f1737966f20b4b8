import { randomUUID } from 'node:crypto';
import type { Sequelize, Transaction } from 'sequelize';
import type { HandBoards, OpenedAirframe, WorkshopBoards, WorkshopStock } from '@grain-fold/contract';
import type { AirframeNest } from '@grain-fold/core/airframe';
import { MOST_BOARDS, withEvent, type Board } from '@grain-fold/core/stock';
import { countOf } from '@grain-fold/core/units';
import { stateOf } from '../airframes/airframe-state.ts';
import { saveChanges } from '../airframes/save-changes.ts';
import { roomForVersion, withinFile } from '../airframes/workshop-bounds.ts';
import { ServerProblem } from '../http/server-problem.ts';
import { Airframe, BoardRow, NestRow } from '../models/index.ts';

/** How many of a board's kind a nest is still to be cut from. */
const reservedBy = (nest: AirframeNest | null | undefined, boardId: string): number =>
  (nest?.boards ?? []).filter((one) => one.boardId === boardId && !one.cutFrom).length;

/** Whether two kinds of boards are one: the same but for their ids, counts, prices and what befell them. */
const isAlike = (a: Board, b: Board): boolean => {
  const kindOf = ({ id: _id, count: _count, price: _price, history: _history, ...kind }: Board): string =>
    JSON.stringify(Object.entries(kind).sort(([one], [other]) => (one < other ? -1 : 1)));
  return kindOf(a) === kindOf(b);
};

/** The boards of a workshop over all its airframes. Every query names the owner. */
export class StockService {
  constructor(private readonly sequelize: Sequelize) {}

  /** Every kind of board of which there is one at least, the last saved airframe first. */
  async all(accountId: string): Promise<WorkshopStock> {
    const airframes = await Airframe.findAll({
      where: { accountId },
      attributes: ['id', 'name', 'savedAt'],
      order: [
        ['savedAt', 'DESC'],
        ['id', 'ASC'],
      ],
    });
    const airframeId = airframes.map(({ id }) => id);
    const [rows, nests] = await Promise.all([
      BoardRow.findAll({ where: { airframeId }, order: [['position', 'ASC']] }),
      NestRow.findAll({ where: { airframeId } }),
    ]);
    const boards = airframes.flatMap(({ id, name }) => {
      const nest = nests.find((one) => one.airframeId === id)?.body;
      return rows.flatMap((row): readonly WorkshopBoards[] =>
        row.airframeId === id && row.body && row.body.count > 0
          ? [{ airframeId: id, airframe: name, board: row.body, reserved: reservedBy(nest, row.id) }]
          : [],
      );
    });
    return { boards };
  }

  /**
   * Hands boards from one airframe to another: both are saved, or neither.
   * @returns the airframe that has them now
   * @throws ServerProblem NOT_FOUND for someone else's airframe, BAD_REQUEST where there are not so many that nothing is to be cut from
   */
  hand(accountId: string, { from, to, boardId, count }: HandBoards): Promise<OpenedAirframe> {
    if (from === to) throw new ServerProblem('BAD_REQUEST', 'to: must be another airframe than the one they lie with.');
    return this.sequelize.transaction(async (transaction) => {
      // Locked before anything is read, for a transaction sees what there was at its first reading; always in the same order, so that
      // two that hand to each other at once wait in turn.
      const locked = new Map<string, Airframe>();
      for (const id of [from, to].sort()) locked.set(id, await this.find(accountId, id, transaction));
      await roomForVersion(accountId, transaction);
      const [giver, taker] = [locked.get(from)!, locked.get(to)!];
      const [theirs, own] = [await stateOf(giver, transaction), await stateOf(taker, transaction)];
      const board = theirs.airframe.boards.find(({ id }) => id === boardId);
      if (!board) throw new ServerProblem('NOT_FOUND', `${giver.name} has no such board any more.`);
      const free = board.count - reservedBy(theirs.airframe.nest, boardId);
      if (free < count)
        throw new ServerProblem(
          'BAD_REQUEST',
          `${giver.name} has ${countOf(board.count, 'board')} of ${board.name}, of which ${free} ${free === 1 ? 'is' : 'are'} free.`,
        );
      await saveChanges(
        giver,
        {
          label: `Hand ${count} ${board.name} to ${taker.name}`.slice(0, 200),
          boards: [changed(theirs, { ...board, count: board.count - count })],
        },
        transaction,
      );
      const taken = { date: new Date().toISOString().slice(0, 10), kind: 'taken' as const, airframe: giver.name };
      const like = own.airframe.boards.find((one) => isAlike(one, board) && one.count + count <= MOST_BOARDS);
      await saveChanges(
        taker,
        {
          label: `Take ${count} ${board.name} from ${giver.name}`.slice(0, 200),
          boards: [
            changed(
              own,
              like && like.count > 0
                ? { ...like, count: like.count + count }
                : withEvent({ ...board, id: like?.id ?? `b${randomUUID().slice(0, 8)}`, count }, taken),
            ),
          ],
        },
        transaction,
      );
      await withinFile(taker, transaction);
      return stateOf(taker, transaction);
    });
  }

  private async find(accountId: string, id: string, transaction: Transaction): Promise<Airframe> {
    const airframe = await Airframe.findOne({ where: { id, accountId }, transaction, lock: transaction.LOCK.UPDATE });
    if (!airframe) throw new ServerProblem('NOT_FOUND', 'There is no such airframe in your workshop.');
    return airframe;
  }
}

/** A board as a change of what an airframe was opened as; a new one comes last. */
function changed({ airframe: { boards }, versions }: OpenedAirframe, board: Board) {
  const at = boards.findIndex(({ id }) => id === board.id);
  return {
    id: board.id,
    basedOn: versions.boards[board.id] ?? 0,
    position: at < 0 ? boards.length : at,
    value: board,
  };
}
