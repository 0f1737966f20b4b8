import type { Gauge, GaugeKind } from '@grain-fold/core/forms';

type Choice<Value extends string> = readonly (readonly [value: Value, word: string])[];

/** What gauges are called on the slip. */
export const GAUGE_WORDS: Choice<GaugeKind> = [
  ['angle', 'an angle'],
  ['cradle', 'a cradle under a station'],
  ['profile', 'a profile laid on a station'],
  ['block', 'a block under a station'],
  ['throw', 'the throw of a control'],
  ['square', 'a strip that tells square'],
  ['balance', 'a balance stand'],
];
export const AGAINST_WORDS: Choice<Gauge['against']> = [
  ['part', 'another part'],
  ['mirror', 'its mirror image'],
  ['table', 'the table'],
  ['upright', 'the upright middle'],
];
export const BACK_WORDS: Choice<Gauge['back']> = [
  ['level', 'level'],
  ['chord', 'along the chord'],
];
