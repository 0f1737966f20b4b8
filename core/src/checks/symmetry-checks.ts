import { applyCommand, type PartCommand } from '../editing/index.ts';
import { outlineOf, type Contour, type Part, type Symmetry } from '../part/index.ts';
import { offCentreLine, ON_CENTRE_LINE_MM } from '../resolve/index.ts';
import type { Fault, Mend } from './fault.ts';
import { lengthText } from '../units/index.ts';

/** A half outline must end on its centre line, or have one straight run along it, and lie on one side of it. */
export function symmetryFaults(part: Part): readonly Fault[] {
  const { symmetry } = part,
    outline = outlineOf(part);
  if (!symmetry || !outline) return [];
  const offsets = outline.nodes.map((node) => offCentreLine(node, symmetry));
  const isOn = (offset: number): boolean => Math.abs(offset) <= ON_CENTRE_LINE_MM;
  const base = { code: 'SYMMETRY_APART' as const, partId: part.id, targetId: outline.id };
  const wholly: Mend = {
    label: 'Take what is drawn as the whole',
    command: { name: 'setSymmetry', args: { symmetry: null } },
  };
  if (offsets.some((offset) => offset > ON_CENTRE_LINE_MM) && offsets.some((offset) => offset < -ON_CENTRE_LINE_MM)) {
    const across =
      outline.nodes[
        offsets.findIndex(
          (offset) =>
            Math.sign(offset) !== Math.sign(offsets.reduce((a, b) => (Math.abs(b) > Math.abs(a) ? b : a), 0)) &&
            !isOn(offset),
        )
      ]!;
    return [
      {
        ...base,
        place: across,
        title: `The half of ${part.name} crosses its centre line`,
        detail: 'Only one side of a symmetric part is drawn; the other is its mirror image.',
        ...mendsOf([
          ...(applyCommand(part, CUT_OFF).ok ? [{ label: 'Cut off what is across', command: CUT_OFF }] : []),
          wholly,
        ]),
      },
    ];
  }
  if (outline.closed) {
    const hasRun = offsets.some(
      (offset, index) =>
        isOn(offset) && isOn(offsets[(index + 1) % offsets.length]!) && outline.segments[index]!.kind === 'line',
    );
    return hasRun
      ? []
      : [
          {
            ...base,
            place: outline.nodes[0]!,
            title: `The half of ${part.name} does not meet its centre line`,
            detail: 'It needs one straight run along the line, or to end on it.',
            ...mendsOf([...lineMends(outline, symmetry), wholly]),
          },
        ];
  }
  const gap = Math.max(Math.abs(offsets[0]!), Math.abs(offsets.at(-1)!));
  return gap <= ON_CENTRE_LINE_MM
    ? []
    : [
        {
          ...base,
          place: Math.abs(offsets[0]!) >= gap ? outline.nodes[0]! : outline.nodes.at(-1)!,
          title: `The half of ${part.name} ends ${lengthText(gap, 2)} off its centre line`,
          detail: 'The other half cannot be joined to it.',
          mend: { label: 'Bring its ends to the line', command: { name: 'meetCentreLine', args: {} } },
          others: [wholly],
        },
      ];
}

const CUT_OFF: PartCommand = { name: 'cutAtCentreLine', args: {} };
const mendsOf = ([mend, ...others]: readonly Mend[]): Pick<Fault, 'mend' | 'others'> => ({ mend: mend!, others });

/** The centre line moved to the straight edge beside it that is nearest. */
function lineMends(outline: Contour, symmetry: Symmetry): readonly Mend[] {
  const offsets = outline.nodes.map((node) => offCentreLine(node, symmetry));
  const [nearest] = outline.segments
    .flatMap(({ kind }, index) => {
      const [a, b] = [offsets[index]!, offsets[(index + 1) % offsets.length]!];
      // What is drawn must lie on one side of the line when it runs along this edge.
      const isRim =
        kind === 'line' &&
        Math.abs(a - b) <= ON_CENTRE_LINE_MM &&
        (a === Math.min(...offsets) || a === Math.max(...offsets));
      return isRim ? [a] : [];
    })
    .sort((a, b) => Math.abs(a) - Math.abs(b));
  return nearest === undefined
    ? []
    : [
        {
          label: `Move the centre line ${lengthText(Math.abs(nearest))}, to its edge`,
          command: { name: 'setSymmetry', args: { symmetry: { ...symmetry, atMm: symmetry.atMm + nearest } } },
        },
      ];
}
