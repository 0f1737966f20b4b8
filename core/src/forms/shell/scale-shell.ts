import type { ShellParameters } from './parameters.ts';

/** A shell of another size. */
export const scaleShell = (shell: ShellParameters, factor: number): ShellParameters => ({
  ...shell,
  sections: shell.sections.map((section) => ({
    ...section,
    aftMm: section.aftMm * factor,
    corners: section.corners.map(({ outMm, upMm }) => ({ outMm: outMm * factor, upMm: upMm * factor })),
  })),
  bulkheads: shell.bulkheads.map((one) => ({ ...one, aftMm: one.aftMm * factor, rimMm: one.rimMm * factor })),
  ...(shell.hatch
    ? { hatch: { ...shell.hatch, fromMm: shell.hatch.fromMm * factor, toMm: shell.hatch.toMm * factor } }
    : {}),
});

/** The sheets that a shell's parts are cut from. */
export const shellMaterials = ({ material, bulkheads }: ShellParameters): readonly string[] => [
  material,
  ...bulkheads.flatMap((one) => (one.material === undefined ? [] : [one.material])),
];
