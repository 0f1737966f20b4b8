/** What the pointer does on the plan's mat. */
export type PlanTool = 'select' | 'draw' | 'station' | 'height' | 'measure';

export const PLAN_TOOLS: readonly {
  readonly tool: PlanTool;
  readonly key: string;
  readonly word: string;
  readonly hint: string;
}[] = [
  {
    tool: 'draw',
    key: 'O',
    word: 'outline',
    hint: 'Click point by point in a view; end on the first one, or leave it open',
  },
  {
    tool: 'station',
    key: 'G',
    word: 'guide upright',
    hint: 'Click where it is to stand: it shows in the view above or below too',
  },
  { tool: 'height', key: 'L', word: 'guide level', hint: 'Click where it is to lie: it shows in the view beside too' },
  { tool: 'measure', key: 'M', word: 'measure', hint: 'Click two places of one view' },
];
