import fs from 'node:fs/promises';
import { foldView, partsInVariant } from '@grain-fold/core/airframe';
import { foldedFaces, foldedSvg } from '@grain-fold/core/folds';
import type { CliOptions } from './arguments.ts';
import { CliError } from './cli-error.ts';
import type { CommandOutcome } from './outcome.ts';
import { readAirframe } from './project-file.ts';
import { toldFaults } from './told-faults.ts';

/** Where the drawn airframe is looked at from: before the port wing, from above. */
const VIEWPOINT = { turnDegrees: 35, heightDegrees: 28 };

/** `fold`: how every part closes, its seams and the order of its folds, and how all stand together; writes a drawing of it when asked. */
export async function fold(file: string, options: CliOptions): Promise<CommandOutcome> {
  const airframe = await readAirframe(file, options),
    drawn = partsInVariant(airframe),
    first = drawn[0];
  if (!first) throw new CliError('FILE', `${airframe.name} has no parts to fold.`);
  const { unit } = airframe.settings;
  const seamOf = ({
    gapMm,
    overlapMm,
    state,
  }: {
    readonly gapMm: number;
    readonly overlapMm: number;
    readonly state: string;
  }) => ({ state, gapMm, overlapMm });
  const parts = drawn.flatMap((part) => {
    const view = foldView(airframe, part.id, 'part', unit);
    return view && view.parts[0]!.body.tree.turns.length > 0
      ? [
          {
            part: part.name,
            report: view.report,
            order: view.order.map(({ operationId, reason }) => ({ operationId, reason })),
            seams: view.seams.map(({ state }) => seamOf(state)),
          },
        ]
      : [];
  });
  const whole = drawn.map(({ id }) => foldView(airframe, id, 'airframe', unit)).find((view) => view !== undefined);
  const between = whole?.seams.filter(({ state }) => state.seam.toPartId !== undefined) ?? [];
  if (options.out) {
    const faces = whole?.assembly.pieces.flatMap(({ body, maps }) => foldedFaces(body.solids, maps)) ?? [];
    if (faces.length === 0)
      throw new CliError('FILE', `Nothing of ${airframe.name} stands or has a size yet, so there is nothing to draw.`);
    await fs.writeFile(options.out, foldedSvg(faces, VIEWPOINT, whole!.report.join(' ')));
  }
  const faults = toldFaults(airframe);
  const isOpen = [...parts.flatMap(({ seams }) => seams), ...between.map(({ state }) => state)].some(
    ({ state }) => state !== 'closed',
  );
  return {
    exit: isOpen || faults.length > 0 ? 'FAULTS' : 'OK',
    result: {
      airframe: airframe.name,
      scale: airframe.settings.scale,
      parts,
      faults,
      together: { report: whole?.report ?? [], seams: between.map(({ state }) => seamOf(state)) },
      ...(options.out ? { out: options.out } : {}),
    },
  };
}
