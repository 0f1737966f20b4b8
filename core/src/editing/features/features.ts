import {
  featureFieldFault,
  featureSizing,
  featureTraits,
  featureWord,
  isOnEdge,
  withFeatureSizing,
  type Feature,
  type FeatureEdge,
  type FeatureKind,
  type FeatureSizing,
} from '../../features/index.ts';
import { flattenClosedPath, isFinitePoint, roomiestPlace, type Point } from '../../geometry/index.ts';
import { findPath, holesOf, outlineOf, type Part, IdSource, withoutLostPlaces } from '../../part/index.ts';
import { curvesOf, SIZING_WORDS } from '../../paths/index.ts';
import { withMirrorHalf } from '../../resolve/index.ts';
import { done, refused, type CommandResult } from '../command.ts';

/** Adds a feature at a place or on an edge, with numbers of its own where they are given. */
export function addFeature(
  part: Part,
  args: {
    readonly kind: FeatureKind;
    readonly at?: Point;
    readonly on?: FeatureEdge;
    readonly numbers?: Readonly<Record<string, unknown>>;
  },
): CommandResult {
  const traits = featureTraits(args.kind);
  const ids = new IdSource(part);
  const id = ids.next('f');
  if (traits.ground === 'edge') {
    if (
      !args.on ||
      !findPath(part, args.on.pathId)?.segments.some(({ id: segmentId }) => segmentId === args.on!.segmentId)
    )
      return refused(`A ${traits.word} stands on an edge: choose one.`);
    if (
      args.kind === 'tabs' &&
      part.features?.some((one) => one.kind === 'tabs' && one.on.segmentId === args.on!.segmentId)
    )
      return refused('That edge has a tab row already. Change its number of tabs.');
  } else if (!args.at || !isFinitePoint(args.at)) return refused(`A ${traits.word} needs a place.`);
  const feature = {
    ...traits.defaults,
    id,
    label: '',
    ...(traits.ground === 'edge' ? { on: args.on! } : { at: args.at! }),
  } as Feature;
  const added: Part = { ...part, features: [...(part.features ?? []), feature], lastId: ids.lastId };
  const changed = args.numbers ? changeFeature(added, { featureId: id, changes: args.numbers }) : done(added, '');
  return changed.ok ? done(changed.part, `Add ${traits.word}`) : changed;
}

/** Changes a feature's numbers, words, place or label; its kind and edge stay. */
export function changeFeature(
  part: Part,
  args: { readonly featureId: string; readonly changes: Readonly<Record<string, unknown>> },
): CommandResult {
  const found = part.features?.find(({ id }) => id === args.featureId);
  if (!found) return refused(`There is no feature "${args.featureId}" in ${part.name}.`);
  const { fields } = featureTraits(found.kind);
  for (const [key, value] of Object.entries(args.changes)) {
    if (key === 'at' && !isOnEdge(found)) {
      if (!isFinitePoint(value as Point)) return refused('A place needs two finite numbers.');
      continue;
    }
    if (key === 'label') {
      if (typeof value !== 'string' || value.length > 80) return refused('A label has up to 80 letters.');
      continue;
    }
    const field =
      fields.find((one) => one.key === key) ??
      (key === 'angleDegrees' && !isOnEdge(found) ? { key, word: 'Turned by', kind: 'angle' as const } : undefined);
    if (!field) return refused(`A ${featureWord(found)} has no ${key} to change.`);
    const fault = featureFieldFault(field, value);
    if (fault) return refused(fault);
  }
  const changed = { ...found, ...args.changes } as Feature;
  return done(
    { ...part, features: part.features!.map((feature) => (feature === found ? changed : feature)) },
    'at' in args.changes ? `Move ${featureWord(found)}` : `Change ${featureWord(found)}`,
  );
}

/** Says whether a feature's own lengths grow with the airframe. */
export function changeFeatureSizing(
  part: Part,
  args: { readonly featureId: string; readonly sizing: FeatureSizing },
): CommandResult {
  const found = part.features?.find(({ id }) => id === args.featureId);
  if (!found) return refused(`There is no feature "${args.featureId}" in ${part.name}.`);
  if (featureSizing(found) === undefined)
    return refused(`A ${featureWord(found)} follows its edge and its plate: it has no size to keep.`);
  return done(
    {
      ...part,
      features: part.features!.map((feature) => (feature === found ? withFeatureSizing(found, args.sizing) : feature)),
    },
    `The ${featureWord(found)} ${SIZING_WORDS[args.sizing]}`,
  );
}

export function removeFeature(part: Part, args: { readonly featureId: string }): CommandResult {
  const found = part.features?.find(({ id }) => id === args.featureId);
  if (!found) return refused(`There is no feature "${args.featureId}" in ${part.name}.`);
  return done(
    withoutLostPlaces({ ...part, features: part.features!.filter((feature) => feature !== found) }),
    `Remove ${featureWord(found)}`,
  );
}

/** Moves a feature by a step. */
export function moveFeature(part: Part, args: { readonly featureId: string; readonly by: Point }): CommandResult {
  const found = part.features?.find(({ id }) => id === args.featureId);
  if (!found || isOnEdge(found))
    return refused(
      found
        ? `A ${featureWord(found)} stands on its edge: move the edge.`
        : `There is no feature "${args.featureId}" in ${part.name}.`,
    );
  return changeFeature(part, {
    featureId: found.id,
    changes: { at: { x: found.at.x + args.by.x, y: found.at.y + args.by.y } },
  });
}

/** Moves a feature to the roomiest place of its part. */
export function centreFeature(part: Part, args: { readonly featureId: string }): CommandResult {
  const found = part.features?.find(({ id }) => id === args.featureId);
  if (!found || isOnEdge(found))
    return refused(`There is no feature "${args.featureId}" with a place in ${part.name}.`);
  const whole = withMirrorHalf(part),
    outline = outlineOf(whole);
  if (!outline?.closed) return refused(`${part.name} needs a closed outline first.`);
  const avoid = holesOf(whole)
    .filter(({ closed }) => closed)
    .map((hole) => flattenClosedPath(curvesOf(hole), 0.1));
  const { place } = roomiestPlace(flattenClosedPath(curvesOf(outline), 0.1), avoid, 0.5);
  return changeFeature(part, { featureId: found.id, changes: { at: place } });
}
