import type { AirframePage, Me, OpenedAirframe, RevisionPage, SaveAirframe, SaveReceipt } from '@grain-fold/contract';
import type { Airframe, OnHost } from '@grain-fold/core/airframe';
import type { LengthUnit } from '@grain-fold/core/units';
import { ask } from './client.ts';

export const sessionApi = {
  who: () => ask<{ me: Me | null; hasDemo: boolean }>('GET', '/session'),
  signUp: (name: string, password: string) => ask<Me>('POST', '/accounts', { name, password }),
  signIn: (name: string, password: string) => ask<Me>('POST', '/session', { name, password }),
  openDemo: () => ask<Me>('POST', '/session/demo', {}),
  changePassword: (present: string, next: string) => ask<Me>('POST', '/account/password', { present, next }),
  resetDemo: () => ask<void>('POST', '/demo/reset', {}),
  signOut: () => ask<void>('DELETE', '/session'),
};

export const airframesApi = {
  list: (isAway: boolean, from: number) =>
    ask<AirframePage>('GET', `/airframes?away=${isAway ? 'yes' : 'no'}&from=${from}`),
  create: (name: string, unit: LengthUnit) => ask<OpenedAirframe>('POST', '/airframes', { name, unit }),
  import: (text: string) => ask<OpenedAirframe>('POST', '/airframes/import', { text }),
  open: (id: string) => ask<OpenedAirframe>('GET', `/airframes/${id}`),
  hosts: (id: string) => ask<readonly OnHost[]>('GET', `/airframes/${id}/hosts`),
  save: (id: string, changes: SaveAirframe) => ask<SaveReceipt>('POST', `/airframes/${id}/save`, changes),
  rename: (id: string, name: string) => ask<void>('PATCH', `/airframes/${id}`, { name }),
  duplicate: (id: string) => ask<OpenedAirframe>('POST', `/airframes/${id}/duplicate`, {}),
  putAway: (id: string) => ask<void>('POST', `/airframes/${id}/put-away`, {}),
  bringBack: (id: string) => ask<void>('POST', `/airframes/${id}/bring-back`, {}),
  revisions: (id: string, from: number) => ask<RevisionPage>('GET', `/airframes/${id}/revisions?from=${from}`),
  revision: (id: string, number: number) => ask<Airframe>('GET', `/airframes/${id}/revisions/${number}`),
  restore: (id: string, number: number) =>
    ask<OpenedAirframe>('POST', `/airframes/${id}/revisions/${number}/restore`, {}),
};

/** Addresses of the documents made by the server from the saved airframe. */
/** Documents that the server makes of an airframe. */
export type DocumentName =
  | 'pages.pdf'
  | 'printer-test.pdf'
  | 'plan.pdf'
  | 'cut-list.pdf'
  | 'cut-list.csv'
  | 'project-file'
  | 'export'
  | 'drawing.svg'
  | 'drawing.dxf'
  | 'drawing.pdf'
  | 'parts.csv'
  | 'stock.csv'
  | 'everything.zip';

export const documentAddress = (id: string, name: DocumentName): string => `/api/airframes/${id}/${name}`;

/** Address of the picture of an airframe as it stood at a version. */
export const pictureAddress = (id: string, version: number): string =>
  `/api/airframes/${id}/picture.svg?version=${version}`;
/** The same of a version that was kept. */
export const revisionPictureAddress = (id: string, number: number): string =>
  `/api/airframes/${id}/revisions/${number}/picture.svg`;
