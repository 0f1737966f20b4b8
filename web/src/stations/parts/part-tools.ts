import { FEATURE_KINDS, featureTraits, type FeatureKind } from '@grain-fold/core/features';
import { traitsOf, type OperationDraft, type OperationKind } from '@grain-fold/core/operations';

/** What the pointer does on the mat. */
export type Tool =
  'select' | 'outline' | 'hole' | 'trim' | 'measure' | 'guide' | OperationKind | `feature ${FeatureKind}`;

export interface ToolTraits {
  readonly tool: Tool;
  readonly word: string;
  readonly key: string;
  readonly hint: string;
}

/** Tools in the order of the strip. */
export const TOOLS: readonly ToolTraits[] = [
  { tool: 'outline', word: 'outline', key: 'O', hint: 'Click corner by corner; end on the first one' },
  { tool: 'hole', word: 'hole', key: 'D', hint: 'Click corner by corner; end on the first one' },
  { tool: 'groove', word: 'groove', key: 'V', hint: 'Click both ends of the fold' },
  { tool: 'bevel', word: 'bevel', key: 'B', hint: 'Click the edge to bevel' },
  { tool: 'trench', word: 'trench', key: 'T', hint: 'Click both ends of the fold' },
  { tool: 'crease', word: 'crease', key: 'C', hint: 'Click both ends of the fold' },
  { tool: 'slit', word: 'slit', key: 'I', hint: 'Click both ends of the cut; the board folds away from it' },
  { tool: 'hinge', word: 'hinge', key: 'H', hint: 'Click both ends of the hinge' },
  { tool: 'pocket', word: 'pocket', key: 'P', hint: 'Click corner by corner; end on the first one' },
  { tool: 'through', word: 'cut', key: 'K', hint: 'Click point by point; double-click ends' },
  { tool: 'mark', word: 'mark', key: 'L', hint: 'Click point by point; double-click ends' },
  {
    tool: 'engrave',
    word: 'engrave',
    key: 'W',
    hint: 'Click point by point; double-click ends. Drawn on the skin, not cut',
  },
  {
    tool: 'guide',
    word: 'guide',
    key: 'G',
    hint: 'Press on an edge or a guide and drag to set one beside it; elsewhere for a level one',
  },
  {
    tool: 'trim',
    word: 'trim',
    key: 'X',
    hint: 'Click the stretch of a line to take out, up to the next lines it meets',
  },
  {
    tool: 'measure',
    word: 'measure',
    key: 'M',
    hint: 'Click two places; between two points the distance can be pinned',
  },
];

/** The kind of feature that a tool sets, or undefined. */
export const featureOfTool = (tool: Tool): FeatureKind | undefined =>
  FEATURE_KINDS.find((kind) => tool === `feature ${kind}`);
/** What a tool does, in words. */
export function toolHint(tool: Tool): string | undefined {
  const feature = featureOfTool(tool);
  return feature ? featureTraits(feature).hint : TOOLS.find((one) => one.tool === tool)?.hint;
}
export const toolTraits = (tool: Tool): ToolTraits | undefined => TOOLS.find((one) => one.tool === tool);
/** Whether a tool draws a path point by point. */
export const drawsPath = (tool: Tool): boolean =>
  !['select', 'bevel', 'trim', 'measure', 'guide'].includes(tool) && featureOfTool(tool) === undefined;
/** Folds are one straight run: they end with their second point. */
export const endsAfterTwo = (tool: Tool): boolean =>
  tool === 'groove' || tool === 'trench' || tool === 'crease' || tool === 'slit' || tool === 'hinge';
/** Paths that must come back to their first point. */
export const mustClose = (tool: Tool): boolean => tool === 'outline' || tool === 'hole' || tool === 'pocket';

/** A new operation of a kind with the kind's own first values. */
export const operationDraft = (kind: OperationKind): OperationDraft =>
  ({ ...traitsOf(kind).defaults, label: '' }) as OperationDraft;
