/** A station of the program: a line of the ticket, a route and a key. */
export interface Station {
  readonly name: string;
  readonly word: string;
  readonly key: string;
  readonly group: string;
  readonly figure?: string;
}

/** Stations in the order of the work. */
export const STATIONS: readonly Station[] = [
  { name: 'plan', word: 'Plan', key: '1', group: 'Draw', figure: 'plan' },
  { name: 'stock', word: 'Stock', key: '2', group: 'Draw', figure: 'stock' },
  { name: 'parts', word: 'Parts', key: '3', group: 'Draw', figure: 'parts' },
  { name: 'forms', word: 'Forms', key: '4', group: 'Draw', figure: 'forms' },
  { name: 'scale', word: 'Scale', key: '5', group: 'Draw', figure: 'scale' },
  { name: 'pages', word: 'Pages', key: '6', group: 'Paper and foam', figure: 'pages' },
  { name: 'boards', word: 'Boards', key: '7', group: 'Paper and foam', figure: 'boards' },
  { name: 'cut-list', word: 'Cut list', key: '8', group: 'Paper and foam', figure: 'cut' },
];
