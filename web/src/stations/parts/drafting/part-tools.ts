import { FEATURE_KINDS, featureTraits, type FeatureKind } from '@grain-fold/core/features';
import { OPERATION_KINDS, traitsOf, type OperationKind } from '@grain-fold/core/operations';

/** What the pointer does on the mat. */
export type Tool =
  'select' | 'outline' | 'hole' | 'trim' | 'measure' | 'guide' | OperationKind | `feature ${FeatureKind}`;

export interface ToolTraits {
  readonly tool: Tool;
  readonly word: string;
  readonly key: string;
  readonly hint: string;
}

/** Tools that belong together on the mat's strip. */
export interface ToolGroup {
  readonly word: string;
  readonly tools: readonly ToolTraits[];
}

const OUTLINE_TOOLS: readonly ToolTraits[] = [
  { tool: 'outline', word: 'outline', key: 'O', hint: 'Click corner by corner; end on the first one' },
  { tool: 'hole', word: 'hole', key: 'D', hint: 'Click corner by corner; end on the first one' },
  {
    tool: 'trim',
    word: 'trim',
    key: 'X',
    hint: 'Click the stretch of a line to take out, up to the next lines it meets',
  },
];
const HELPER_TOOLS: readonly ToolTraits[] = [
  {
    tool: 'guide',
    word: 'guide',
    key: 'G',
    hint: 'Press on an edge or a guide and drag to set one beside it; elsewhere for a level one',
  },
  {
    tool: 'measure',
    word: 'measure',
    key: 'M',
    hint: 'Click two places; between two points the distance can be pinned',
  },
];

const toolOfKind = (tool: OperationKind): ToolTraits => {
  const { toolWord, key, hint } = traitsOf(tool);
  return { tool, word: toolWord, key, hint };
};
/** Whether a kind of work does something to the foam; marks and engravings do not. */
const worksFoam = (kind: OperationKind): boolean => {
  const { fold, cutFace, cutting } = traitsOf(kind);
  return fold !== undefined || cutFace !== undefined || cutting.isThrough === true;
};

/** Tools in the order of the strip. */
export const TOOL_GROUPS: readonly ToolGroup[] = [
  { word: 'Outline', tools: OUTLINE_TOOLS },
  { word: 'Folds and cuts', tools: OPERATION_KINDS.filter(worksFoam).map(toolOfKind) },
  {
    word: 'Marks and helpers',
    tools: [...OPERATION_KINDS.filter((kind) => !worksFoam(kind)).map(toolOfKind), ...HELPER_TOOLS],
  },
];
export const TOOLS: readonly ToolTraits[] = TOOL_GROUPS.flatMap(({ tools }) => tools);

/** The kind of feature that a tool sets, or undefined. */
export const featureOfTool = (tool: Tool): FeatureKind | undefined =>
  FEATURE_KINDS.find((kind) => tool === `feature ${kind}`);
const kindOfTool = (tool: Tool): OperationKind | undefined => OPERATION_KINDS.find((kind) => kind === tool);
/** What a tool does, in words. */
export function toolHint(tool: Tool): string | undefined {
  const feature = featureOfTool(tool);
  return feature ? featureTraits(feature).hint : TOOLS.find((one) => one.tool === tool)?.hint;
}
export const toolTraits = (tool: Tool): ToolTraits | undefined => TOOLS.find((one) => one.tool === tool);
/** The group of the strip that a tool stands in; features stand with the helpers. */
export const groupOfTool = (tool: Tool): string | undefined =>
  featureOfTool(tool)
    ? TOOL_GROUPS.at(-1)!.word
    : TOOL_GROUPS.find(({ tools }) => tools.some((one) => one.tool === tool))?.word;

/** Whether a tool draws a path point by point. */
export function drawsPath(tool: Tool): boolean {
  const kind = kindOfTool(tool);
  return kind ? traitsOf(kind).ground !== 'edge' : tool === 'outline' || tool === 'hole';
}
/** Folds are one straight run: they end with their second point. */
export function endsAfterTwo(tool: Tool): boolean {
  const kind = kindOfTool(tool);
  return kind !== undefined && traitsOf(kind).fold !== undefined;
}
/** Paths that must come back to their first point. */
export function mustClose(tool: Tool): boolean {
  const kind = kindOfTool(tool);
  return kind ? traitsOf(kind).ground === 'area' : tool === 'outline' || tool === 'hole';
}
