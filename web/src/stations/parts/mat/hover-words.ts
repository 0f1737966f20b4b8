import { featureWord } from '@grain-fold/core/features';
import { operationWord } from '@grain-fold/core/operations';
import { drawnId, featureIdOf, findPath, type Part } from '@grain-fold/core/part';
import type { Picked } from '@grain-fold/core/pointing';
import { featureOfTool, type Tool } from '../drafting/part-tools.ts';

/** What a click where the pointer stands will do, in a few words. */
export function hoverWords(part: Part, tool: Tool, picked: Picked | undefined): string {
  if (tool === 'bevel') return picked?.kind === 'segment' ? 'Click bevels this edge' : '';
  if (tool === 'guide')
    return picked?.kind === 'segment'
      ? 'Drag sets a guide beside this edge'
      : picked?.kind === 'guide'
        ? 'Drag sets a guide beside this one'
        : 'Click sets a level guide';
  if (featureOfTool(tool) || tool !== 'select' || !picked) return '';
  switch (picked.kind) {
    case 'node':
      return 'Click chooses this point; drag moves it';
    case 'segment': {
      const path = findPath(part, picked.pathId),
        group = part.pathGroups?.find(({ pathIds }) => pathIds.includes(picked.pathId));
      if (!path) return '';
      if (group) return `Click chooses ${group.name}; drag moves it`;
      const number = path.segments.findIndex(({ id }) => id === picked.segmentId) + 1;
      return `Click chooses edge ${number} of the ${'role' in path ? (path.role === 'outer' ? 'outline' : 'hole') : 'line'}; drag moves it; double-click puts a point on it`;
    }
    case 'operation': {
      const operation = part.operations.find(({ id }) => id === drawnId(picked.operationId));
      return operation && !featureIdOf(operation.id)
        ? `Click chooses this ${operationWord(operation)}; drag moves it`
        : '';
    }
    case 'feature': {
      const feature = part.features?.find(({ id }) => id === picked.featureId);
      return feature ? `Click chooses this ${featureWord(feature)}${'at' in feature ? '; drag moves it' : ''}` : '';
    }
    case 'guide':
      return `Click chooses ${part.guides?.find(({ id }) => id === picked.guideId)?.name ?? 'this guide'}; drag moves it and what is attached`;
  }
}
