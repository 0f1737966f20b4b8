import type { HandBoards, OpenedAirframe, WorkshopBoards, WorkshopStock } from '@grain-fold/contract';
import { ask } from './client.ts';

/** The stock of the workshop over all airframes. @throws ApiError as the server says it, or code OFFLINE */
export const stockApi = {
  all: async (): Promise<readonly WorkshopBoards[]> => (await ask<WorkshopStock>('GET', '/stock')).boards,
  hand: (boards: HandBoards) => ask<OpenedAirframe>('POST', '/stock/hand', boards),
};
