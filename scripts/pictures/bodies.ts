/** Bodies of walls, shells, rounds and decks. */
import { withForm } from '@grain-fold/core/airframe';
import {
  makeForm,
  bodyFromNumbers,
  deckFromNumbers,
  roundFromNumbers,
  usualDeck,
  usualRound,
  shellFromNumbers,
  usualBody,
  usualShell,
  type BodyForm,
  type BodyParameters,
  type DeckForm,
  type RoundForm,
  type ShellForm,
} from '@grain-fold/core/forms';
import { airframe, write, BOARD, writeRings, ringsOf, AT_DATUM, CONTEXT } from './draw.ts';

const body = (more: Partial<BodyParameters> = {}): BodyForm => ({
  id: 'b1',
  kind: 'body',
  name: 'Body',
  parameters: { ...bodyFromNumbers({ ...usualBody('mm'), material: 'board' }, BOARD.thicknessMm), ...more },
  place: { at: { x: 0, y: 0, z: 0 }, incidenceDegrees: 0 },
});
write('body-box', withForm(airframe(), body({ topLine: 'curved', widthLine: 'curved' })), 'b1-wall', 'airframe');
const upFromFloor = makeForm(body({ corners: 'folded' }), CONTEXT).parts.find(
  ({ source }) => source!.role === 'floor',
)!;
writeRings(
  'body-folded-flat',
  'Floor and walls of one sheet, with the grooves that fold the walls up',
  ringsOf(upFromFloor),
  upFromFloor.lines.filter(({ id }) => id.includes('fold')).map(({ nodes }) => nodes),
);
const shell: ShellForm = {
  id: 'h1',
  kind: 'shell',
  name: 'Shell',
  parameters: shellFromNumbers({ ...usualShell('mm'), material: 'board' }),
  place: { at: { x: 0, y: 0, z: 0 }, incidenceDegrees: 0 },
};
const shelled = withForm(airframe(), shell);
write('shell', shelled, 'h1-piece-s1-0', 'airframe');
const piece = shelled.parts.find(({ id }) => id === 'h1-piece-s1-0')!;
writeRings(
  'shell-flat',
  'Nine faces of a shell unfolded into one piece, with its folds',
  ringsOf(piece),
  piece.lines.map(({ nodes }) => nodes),
);
const pod: RoundForm = {
  id: 'o1',
  kind: 'round',
  name: 'Pod',
  parameters: roundFromNumbers({ ...usualRound('mm'), material: 'board' }, BOARD.thicknessMm),
  place: AT_DATUM,
};
const podded = withForm(airframe(), pod);
write('round', podded, 'o1-frustum-1', 'airframe');
const frustum = podded.parts.find(({ id }) => id === 'o1-frustum-1')!;
writeRings(
  'round-flat',
  'The first sheet of a pod on the flat: a sector, with the lines it rolls over',
  ringsOf(frustum),
  frustum.lines.map(({ nodes }) => nodes),
);
const deck: DeckForm = {
  id: 'd1',
  kind: 'deck',
  name: 'Deck',
  parameters: deckFromNumbers({ ...usualDeck('mm'), material: 'board' }),
  place: AT_DATUM,
};
const decked = withForm(airframe(), deck);
write('deck', decked, 'd1-sheet-1', 'airframe');
const sheet = decked.parts.find(({ id }) => id === 'd1-sheet-1')!;
writeRings(
  'deck-flat',
  'A deck on the flat, with the lines it bends over',
  ringsOf(sheet),
  sheet.lines.map(({ nodes }) => nodes),
);
