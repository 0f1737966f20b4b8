import { featureFaults, featureWord, isOnEdge, scaledFeature, type Feature } from '../features/index.ts';
import { insideRegionOf, midpoint } from '../geometry/index.ts';
import { featureIdOf, findPath, holesOf, outlineOf, type Contour, type Part } from '../part/index.ts';
import { ringOf } from '../paths/index.ts';
import { expandPart, type ExpandContext, siteOf, neededWidth } from '../resolve/index.ts';
import type { Board } from '../stock/index.ts';
import type { Fault } from './fault.ts';
import { symmetryFaults } from './symmetry-checks.ts';
import { lengthText } from '../units/index.ts';

/** Difference between a kept slot and its plate that a builder does not feel, in mm. */
const SLOT_SLACK_MM = 0.05;
const LOOSEST_SLOT_MM = 1;

/**
 * What is wrong with what was drawn, before it is made whole: features that cannot be made, halves that do not meet their centre line,
 * slots kept at a width that no longer fits, variants that have no outline.
 * @param part as drawn, at the airframe's scale
 * @param variants every variant of the airframe
 */
export function drawingFaults(
  part: Part,
  context: ExpandContext,
  variants: readonly string[],
  scale: number,
): readonly Fault[] {
  return [
    ...(part.features ?? []).flatMap((feature) => faultsOfFeature(part, feature, context, scale)),
    ...wordsOff(part, context),
    ...symmetryFaults(part),
    ...part.contours.flatMap((contour) => slotUnfit(part, contour, context)),
    ...variantFaults(part, context, variants),
  ];
}

function faultsOfFeature(part: Part, feature: Feature, context: ExpandContext, scale: number): readonly Fault[] {
  const site = siteOf(part, feature, context);
  return featureFaults(feature, site).map(({ code, title, detail, mend }): Fault => {
    const drawn =
      mend &&
      (scaledFeature({ ...feature, ...mend.changes } as Feature, 1 / scale) as unknown as Readonly<
        Record<string, unknown>
      >);
    return {
      code,
      partId: part.id,
      targetId: feature.id,
      title,
      detail,
      place: isOnEdge(feature) ? site.edge && midpoint(site.edge.curve.from, site.edge.curve.to) : feature.at,
      mend:
        mend && drawn
          ? {
              label: mend.label,
              command: {
                name: 'changeFeature',
                args: {
                  featureId: feature.id,
                  changes: Object.fromEntries(Object.keys(mend.changes).map((key) => [key, drawn[key]])),
                },
              },
            }
          : {
              label: `Remove the ${featureWord(feature)}`,
              command: { name: 'removeFeature', args: { featureId: feature.id } },
            },
    };
  });
}

/** Words that run off the part or over a hole would be printed cut short. */
function wordsOff(part: Part, context: ExpandContext): readonly Fault[] {
  const lettering = (part.features ?? []).filter((feature) => feature.kind === 'lettering');
  if (lettering.length === 0) return [];
  const whole = expandPart(part, context),
    outline = outlineOf(whole);
  if (!outline?.closed) return [];
  const isOn = insideRegionOf(
    ringOf(outline, 0.05),
    holesOf(whole)
      .filter(({ closed }) => closed)
      .map((hole) => ringOf(hole, 0.05)),
  );
  return lettering.flatMap((feature): readonly Fault[] => {
    const points = whole.lines.filter(({ id }) => featureIdOf(id) === feature.id).flatMap(({ nodes }) => nodes);
    if (points.every(isOn)) return [];
    return [
      {
        code: 'WORDS_OFF',
        partId: part.id,
        targetId: feature.id,
        place: feature.at,
        title: `“${feature.text}” runs off ${part.name}`,
        detail: 'Words are drawn only on the part and not over its holes.',
        mend: {
          label: 'Move it to the roomiest place',
          command: { name: 'centreFeature', args: { featureId: feature.id } },
        },
      },
    ];
  });
}

function slotUnfit(part: Part, contour: Contour, context: ExpandContext): readonly Fault[] {
  const { plate } = contour,
    needed = neededWidth(contour, context);
  if (!plate || plate.keptWidthMm === undefined || needed === undefined) return [];
  const short = needed - plate.keptWidthMm;
  if (short <= SLOT_SLACK_MM && short >= -LOOSEST_SLOT_MM) return [];
  const { keptWidthMm, ...following } = plate;
  return [
    {
      code: 'SLOT_UNFIT',
      partId: part.id,
      targetId: contour.id,
      place: contour.nodes[0]!,
      title: `A slot of ${part.name} no longer fits its plate`,
      detail: `It is kept at ${lengthText(keptWidthMm)}; the plate of ${plate.material} needs ${lengthText(needed)}.`,
      mend: {
        label: `Refit to ${lengthText(needed)}`,
        command: { name: 'changeSlot', args: { pathId: contour.id, plate: following } },
      },
    },
  ];
}

/** Variants in which the part exists but has no closed outline, though it has one in others. */
function variantFaults(part: Part, context: ExpandContext, variants: readonly string[]): readonly Fault[] {
  const outline = outlineOf(part);
  if (!outline?.variants) return [];
  return variants
    .filter((variant) => !part.variants || part.variants.includes(variant))
    .flatMap((variant): readonly Fault[] =>
      outlineOf(expandPart(part, { ...context, variant }))?.closed
        ? []
        : [
            {
              code: 'VARIANT_OPEN',
              partId: part.id,
              targetId: outline.id,
              place: findPath(part, outline.id)!.nodes[0]!,
              title: `${part.name} has no closed outline in “${variant}”`,
              detail: `Its outline exists only in ${outline.variants!.map((name) => `“${name}”`).join(', ')}.`,
              mend: {
                label: 'Keep the outline in every variant',
                command: { name: 'setVariants', args: { targetId: outline.id, variants: null } },
              },
            },
          ],
    );
}

/** A grain rule that no board in stock can keep. */
export function grainFaults(part: Part, boards: readonly Board[]): readonly Fault[] {
  const own = boards.filter(({ material, count }) => material === part.material && count > 0);
  if (part.grain.rule === 'any' || own.length === 0 || own.some(({ grain }) => grain !== 'none')) return [];
  return [
    {
      code: 'GRAIN_NOWHERE',
      partId: part.id,
      title: `No board of ${part.material} has a grain for ${part.name}`,
      detail: `It asks to lie ${part.grain.rule} the grain; on these boards it would be laid any way.`,
      mend: {
        label: 'Let it lie any way',
        command: { name: 'changeDetails', args: { changes: { grain: { ...part.grain, rule: 'any' } } } },
      },
    },
  ];
}
