import type { TailParameters, TailStart } from '@grain-fold/core/forms';

type Choices = readonly (readonly [string, string, string])[];

export const HALVES: Choices = [
  ['one', 'one piece', 'Stiff by itself: the rudder stays clear of its hinge.'],
  ['two', 'two halves, joined by a wire', 'The rudder swings between them.'],
];
export const TAPES: Choices = [
  ['top', 'on top', 'It closes below on its way down: that edge is relieved.'],
  ['bottom', 'below', 'It closes above on its way up: that edge is relieved.'],
];
export const FIN_STANDS: Choices = [
  ['middle', 'in the middle', 'On the stabiliser, a tab of it through a slot.'],
  ['tips', 'at both tips', 'A plate against each tip, above and below it.'],
];
export const YIELDS: Choices = [
  ['elevator', 'the elevator is cut out', 'The rudder stays whole.'],
  ['rudder', 'the rudder is cut back', 'The elevator stays whole.'],
];

/** The few numbers of a tail as it stands, for a plate that is added to it. */
export const usualFor = ({ material, stabiliser, elevator, fin, rudder }: TailParameters): TailStart => ({
  material,
  spanMm: stabiliser.spanMm,
  chordMm: stabiliser.rootMm / 0.68,
  heightMm: fin?.heightMm ?? stabiliser.spanMm * 0.4,
  elevatorDegrees: elevator?.upDegrees ?? 25,
  rudderDegrees: rudder?.travelDegrees ?? 30,
});
