import { crossFaults, type FieldFault, type SaveAirframe } from '@grain-fold/contract';

/** What no single field of a save shows: a change that stands twice or carries another's value, and parts that break their own rules. */
export function saveFaults(changes: SaveAirframe): readonly FieldFault[] {
  const lists = [
    ['parts', changes.parts ?? []],
    ['boards', changes.boards ?? []],
    ['forms', changes.forms ?? []],
  ] as const;
  const faults = lists.flatMap(([field, list]) => {
    const seen = new Set<string>();
    return list.flatMap(({ id, value }, index): readonly FieldFault[] => {
      const isTwice = seen.has(id);
      seen.add(id);
      if (isTwice) return [{ field: `${field}[${index}].id`, message: `"${id}" stands twice in one save` }];
      return value && value.id !== id
        ? [{ field: `${field}[${index}].value.id`, message: `must be "${id}", got "${value.id}"` }]
        : [];
    });
  });
  const broken = (changes.parts ?? []).flatMap(({ value }, index) =>
    value
      ? crossFaults({ parts: [value], boards: [] }).map(({ field, message }) => ({
          field: `parts[${index}].value.${field.replace('parts[0].', '')}`,
          message,
        }))
      : [],
  );
  const { value: plan } = changes.plan ?? {};
  const planned = plan
    ? crossFaults({ parts: [], boards: [], plan }).map(({ field, message }) => ({
        field: field.replace(/^plan/, 'plan.value'),
        message,
      }))
    : [];
  return [...faults, ...broken, ...planned].slice(0, 20);
}
