import type { Airframe } from '@grain-fold/core/airframe';

/** How a thing differs between an older version and the present. */
export interface Difference {
  readonly what: string;
  readonly how: 'added since' | 'removed since' | 'changed since';
}

const differs = (a: unknown, b: unknown): boolean => JSON.stringify(a) !== JSON.stringify(b);

/** What differs between a version and the airframe as it is now, part by part and board by board. */
export function compareAirframes(then: Airframe, now: Airframe): readonly Difference[] {
  const list = (
    before: readonly { readonly id: string; readonly name: string }[],
    after: typeof before,
  ): Difference[] => [
    ...after.flatMap((one): Difference[] => {
      const old = before.find(({ id }) => id === one.id);
      if (!old) return [{ what: one.name, how: 'added since' }];
      return differs(old, one) ? [{ what: one.name, how: 'changed since' }] : [];
    }),
    ...before
      .filter((old) => !after.some(({ id }) => id === old.id))
      .map((old): Difference => ({ what: old.name, how: 'removed since' })),
  ];
  return [
    ...(then.name === now.name ? [] : [{ what: `Name, then ${then.name}`, how: 'changed since' as const }]),
    ...list(then.parts, now.parts),
    ...list(then.boards, now.boards),
    ...list(then.forms ?? [], now.forms ?? []),
    ...(then.settings.scale === now.settings.scale
      ? []
      : [{ what: `Scale, then × ${then.settings.scale.toFixed(3)}`, how: 'changed since' as const }]),
    ...(differs({ ...then.settings, scale: 0 }, { ...now.settings, scale: 0 })
      ? [{ what: 'Settings of pages and nest', how: 'changed since' as const }]
      : []),
    ...single('Nest', then.nest, now.nest),
    ...single('Plan', then.plan, now.plan),
  ];
}

/** Something that an airframe has one of, or none. */
function single(what: string, then: unknown, now: unknown): readonly Difference[] {
  if (!differs(then, now)) return [];
  return [{ what, how: then === undefined ? 'added since' : now === undefined ? 'removed since' : 'changed since' }];
}
