import { shallowRef, type ComputedRef } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { copiedFrom, type CopiedPaths, type MadeIds, withOwnDetails } from '@grain-fold/core/editing';
import { emptyPart, type Part } from '@grain-fold/core/part';
import { materialsOf } from '@grain-fold/core/stock';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import type { Drafting } from './drafting/use-drafting.ts';
import type { Selection } from './selection.ts';

const NOTHING_COPIED: CopiedPaths = { contours: [], lines: [], operations: [], features: [] };
/** How far beside its original a copy comes in the part that it was copied from, in mm. */
const PASTE_STEP = { x: 10, y: 10 };
const LONGEST_NAME = 80;

/** What can be done to the airframe's list of parts and to what is chosen on the part that is drawn. */
export function usePartEditing(part: ComputedRef<Part | undefined>, selection: Selection, drafting: Drafting) {
  const work = useAirframe();
  const route = useRoute();
  const router = useRouter();
  const copied = shallowRef<CopiedPaths>();
  const copiedFromPartId = shallowRef<string>();
  const parts = (): readonly Part[] => work.airframe?.parts ?? [];

  function choose(partId: string): Promise<unknown> {
    drafting.keep();
    return router.replace({ name: 'parts', params: { ...route.params, partId } });
  }
  async function addPart(): Promise<void> {
    drafting.keep();
    const id = work.freshId('p');
    const material = materialsOf(work.airframe?.boards ?? [])[0] ?? 'faced board';
    const group = part.value?.group ?? 'Parts';
    work.setParts('New part', [...parts(), emptyPart(id, `Part ${parts().length + 1}`, material, group)]);
    await choose(id);
    drafting.start('outline');
  }
  async function duplicatePart(): Promise<void> {
    drafting.keep();
    if (!part.value) return;
    // A copy is drawn: its form makes only the one that it is of.
    const { source: _source, ...drawn } = part.value;
    const copy = { ...drawn, id: work.freshId('p'), name: `${part.value.name} copy`.slice(0, LONGEST_NAME) };
    const at = parts().indexOf(part.value);
    work.setParts(`Duplicate ${part.value.name}`, parts().toSpliced(at + 1, 0, copy));
    await choose(copy.id);
  }
  async function removePart(): Promise<void> {
    const gone = part.value;
    if (!gone) return;
    const at = parts().indexOf(gone);
    work.setParts(
      `Remove ${gone.name}`,
      parts().filter((one) => one !== gone),
    );
    const next = parts()[Math.min(at, parts().length - 1)];
    if (next) await choose(next.id);
  }
  /** Puts a part before another one and into its group; before none, at the end of a group. */
  function movePart(id: string, beforeId: string | undefined, toGroup?: string): void {
    const moving = parts().find((one) => one.id === id);
    if (!moving) return;
    const rest = parts().filter((one) => one !== moving);
    const before = rest.find((one) => one.id === beforeId);
    const group = before?.group ?? toGroup ?? moving.group;
    const lastOfGroup = rest.findLastIndex((one) => one.group === group);
    const at = before ? rest.indexOf(before) : lastOfGroup + 1 || rest.length;
    const moved = group === moving.group ? moving : withOwnDetails(moving, { ...moving, group });
    work.setParts(`Move ${moving.name} in the list`, rest.toSpliced(at, 0, moved));
  }

  function copy(): void {
    if (!part.value) return;
    copiedFromPartId.value = part.value.id;
    copied.value = copiedFrom(
      part.value,
      selection.paths.value.map(({ id }) => id),
      selection.feature.value ? [selection.feature.value.id] : [],
    );
    const { contours, lines, features } = copied.value;
    const isNothing = contours.length + lines.length + features.length === 0;
    work.message = isNothing ? 'Choose lines, holes or a feature to copy first.' : '';
  }
  /** Puts what was copied where it lay, a step aside when it is there already. */
  function paste(): void {
    if (!part.value) return;
    const isHere = copiedFromPartId.value === part.value.id; // ids are a part's own, so they do not tell
    const by = isHere ? PASTE_STEP : { x: 0, y: 0 };
    const made = work.run(part.value.id, { name: 'pastePaths', args: { copied: copied.value ?? NOTHING_COPIED, by } });
    if (made) selection.chosen.value = undefined;
  }

  const mirror = (): void => {
    if (part.value) work.run(part.value.id, { name: 'mirrorPart', args: { across: 'vertical' } });
  };
  function removeChosen(): void {
    const chosen = selection.chosen.value,
      partId = part.value?.id;
    if (!partId || !chosen) return;
    switch (chosen.kind) {
      case 'operation':
        work.run(partId, { name: 'removeOperation', args: { operationId: chosen.operationId } });
        break;
      case 'feature':
        work.run(partId, { name: 'removeFeature', args: { featureId: chosen.featureId } });
        break;
      case 'guide':
        work.run(partId, { name: 'removeGuide', args: { guideId: chosen.guideId } });
        break;
      case 'nodes':
        work.runAll(
          partId,
          chosen.ids.map((nodeId) => ({ name: 'removeNode', args: { nodeId } })),
          `Remove ${chosen.ids.length} points`,
        );
        break;
      case 'paths':
        work.runAll(
          partId,
          chosen.ids.map((pathId) => ({ name: 'removePath', args: { pathId } })),
          `Remove ${chosen.ids.length} lines`,
        );
        break;
      case 'segment':
        work.run(partId, { name: 'removePath', args: { pathId: chosen.pathId } });
    }
    selection.chosen.value = undefined;
  }

  /** Moves what is chosen by a step in mm. @returns what that made, undefined when nothing could be moved, false when nothing is chosen */
  function nudge(x: number, y: number): MadeIds | undefined | false {
    if (!part.value) return false;
    const by = { x, y },
      { id: partId, lines } = part.value;
    const segment = selection.segment.value;
    const ends = segment && [segment.index, (segment.index + 1) % segment.path.nodes.length];
    const nodeIds = ends?.map((at) => segment!.path.nodes[at]!.id) ?? selection.nodes.value.map(({ id }) => id);
    if (nodeIds.length > 0) return work.run(partId, { name: 'moveNodes', args: { nodeIds, by } });
    if (selection.chosen.value?.kind === 'paths')
      return work.run(partId, {
        name: 'arrangePaths',
        args: { pathIds: selection.chosen.value.ids, motion: { kind: 'move', by }, copies: 0 },
      });
    const feature = selection.feature.value,
      guide = selection.guide.value,
      operation = selection.operation.value;
    if (feature) return work.run(partId, { name: 'moveFeature', args: { featureId: feature.id, by } });
    if (guide) {
      const changes =
        guide.kind === 'beside' ? { byMm: guide.byMm + x + y } : { at: { x: guide.at.x + x, y: guide.at.y + y } };
      return work.run(partId, { name: 'changeGuide', args: { guideId: guide.id, changes } });
    }
    if (operation && lines.some(({ id }) => id === operation.on.pathId))
      return work.run(partId, { name: 'movePath', args: { pathId: operation.on.pathId, by } });
    return false;
  }

  return { choose, addPart, duplicatePart, removePart, movePart, copy, paste, mirror, removeChosen, nudge };
}
