import type { Component } from 'vue';
import type { Form } from '@grain-fold/core/forms';
import BodySlip from './body/BodySlip.vue';
import DeckSlip from './deck/DeckSlip.vue';
import GaugeSlip from './gauge/GaugeSlip.vue';
import LayeredSlip from './layered/LayeredSlip.vue';
import PowerSlip from './power/PowerSlip.vue';
import RoundSlip from './round/RoundSlip.vue';
import ShellSlip from './shell/ShellSlip.vue';
import StrutSlip from './strut/StrutSlip.vue';
import WingSlip from './slip/WingSlip.vue';
import TailSlip from './tail/TailSlip.vue';
import BodyStart from './start/BodyStart.vue';
import DeckStart from './start/DeckStart.vue';
import GaugeStart from './start/GaugeStart.vue';
import LayeredStart from './start/LayeredStart.vue';
import PowerStart from './start/PowerStart.vue';
import RoundStart from './start/RoundStart.vue';
import StrutStart from './start/StrutStart.vue';
import TailStart from './start/TailStart.vue';
import ShellStart from './start/ShellStart.vue';
import WingStart from './start/WingStart.vue';

/** What the desk has for one kind of form. */
interface KindOnDesk {
  /** What is made: `a wing`. */
  readonly word: string;
  readonly start: Component;
  readonly slip: Component;
  /** The list of its parameters that the keys step through; none of a kind that has no list. And what one of it is chosen as, if otherwise. */
  readonly list?: string;
  readonly chosen?: string;
  /** Of the tray: `next panel`, and what is dragged. */
  readonly next?: string;
  readonly rings: string;
  /** Why nothing of it is seen folded, if that is so. */
  readonly unfolded?: string;
}

const ON_DESK: Readonly<Record<Form['kind'], KindOnDesk>> = {
  wing: {
    word: 'a wing',
    start: WingStart,
    slip: WingSlip,
    list: 'panels',
    chosen: 'panel',
    next: 'next panel',
    rings: 'span, chord, dihedral, spar',
  },
  body: {
    word: 'a body of walls',
    start: BodyStart,
    slip: BodySlip,
    list: 'stations',
    next: 'next station',
    rings: 'top, bottom, width, former, wing',
  },
  layered: {
    word: 'a profile body of layers',
    start: LayeredStart,
    slip: LayeredSlip,
    list: 'stations',
    next: 'next station',
    rings: 'top, bottom, bay, slit, wing',
  },
  tail: {
    word: 'a tail of flat plates',
    start: TailStart,
    slip: TailSlip,
    rings: 'span, sweep, hinge, height, rudder',
  },
  power: {
    word: 'a power box and firewall',
    start: PowerStart,
    slip: PowerSlip,
    rings: 'length, width, height, line, dowel',
  },
  shell: {
    word: 'a shell of plane faces',
    start: ShellStart,
    slip: ShellSlip,
    list: 'sections',
    next: 'next section',
    rings: 'section, corner',
  },
  round: {
    word: 'a round, rolled',
    start: RoundStart,
    slip: RoundSlip,
    list: 'stations',
    next: 'next station',
    rings: 'station, ring',
  },
  deck: {
    word: 'a wrapped deck',
    start: DeckStart,
    slip: DeckSlip,
    list: 'sections',
    next: 'next section',
    rings: 'section, width, rise',
  },
  strut: {
    word: 'struts, supports and gussets',
    start: StrutStart,
    slip: StrutSlip,
    list: 'struts',
    next: 'next strut',
    rings: 'its ends, fore and aft',
  },
  gauge: {
    word: 'gauges for what stands',
    start: GaugeStart,
    slip: GaugeSlip,
    list: 'gauges',
    next: 'next gauge',
    rings: 'reach of the arms',
    unfolded: 'Gauges lie flat',
  },
};

export const onDesk = (kind: Form['kind']): KindOnDesk => ON_DESK[kind];
/** The kinds of forms, in the order in which they are offered. */
export const KINDS_ON_DESK = Object.entries(ON_DESK) as readonly (readonly [Form['kind'], KindOnDesk])[];
