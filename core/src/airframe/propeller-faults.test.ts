import { drawnPlate } from '../../test/drawn-plates.ts';
import { airframeOf, T } from '../../test/wings.ts';
import { powerFromNumbers, usualPower, type PowerForm, type PowerParameters } from '../forms/index.ts';
import { point3 } from '../geometry/index.ts';
import type { Part } from '../part/index.ts';
import type { Airframe } from './airframe.ts';
import { foldFaults } from './fold-faults.ts';

const REACH_MM = 30;
/** A box whose propeller of 200 stands 33 before (or behind) the datum, its middle 25 over the box's underside, which lies at 100. */
const power = (more: Partial<PowerParameters> = {}): PowerForm => ({
  id: 'm1',
  kind: 'power',
  name: 'Power',
  parameters: {
    ...powerFromNumbers({ ...usualPower('mm'), rightDegrees: 0, downDegrees: 0, material: 'foam' }, 'foam'),
    lineMm: 25 - T,
    reachMm: REACH_MM,
    propellerMm: 200,
    ...more,
  },
  place: { at: point3(0, 0, 100), incidenceDegrees: 0 },
});
const faultsOf = (form: PowerForm, ...parts: readonly Part[]): readonly string[] => {
  const airframe: Airframe = { ...airframeOf(parts), forms: [form] };
  return foldFaults(airframe)
    .filter(({ code }) => code === 'PROPELLER_NEAR')
    .map(({ title }) => title);
};
/** A level plate, 400 long and 60 wide, its upper skin so high: below the propeller. */
const level = (topMm: number, aftMm = -200): Part => drawnPlate('one', 400, 60, { at: point3(aftMm, -30, topMm - T) });

describe('a propeller of 200 mm, its middle 125 high', () => {
  it.each([
    // Its disc reaches down to 25.
    [14.9, []],
    [17, ['The propeller of Power passes 8.0 mm from one']],
    [31, ['The propeller of Power strikes one, 6.0 mm deep']],
  ])('over a plate whose top is at %f', (topMm, told) => {
    expect(faultsOf(power(), level(topMm))).toEqual(told);
  });

  it('does not come near what begins behind it', () => {
    // The disc stands one plate and 30 before the firewall: 35; a blade sweeps 5 more.
    const behind = -(REACH_MM + T) + 5;
    expect(faultsOf(power(), level(40, behind + 0.2))).toEqual([]);
    expect(faultsOf(power(), level(40, behind - 0.2))).toHaveLength(1);
  });

  it('turns behind the box where it pushes', () => {
    const aft = REACH_MM + T - 5;
    expect(faultsOf(power({ isPusher: true }), level(40, aft - 400 - 0.2))).toEqual([]);
    expect(faultsOf(power({ isPusher: true }), level(40, aft - 400 + 0.2))).toHaveLength(1);
    expect(faultsOf(power({ isPusher: true }), level(40, 0))).toHaveLength(1);
  });

  it('does not strike its own firewall and ring', () => {
    const form = power({ ring: { outerMm: 50, innerMm: 34, aheadMm: 20 } });
    expect(faultsOf(form)).toEqual([]);
  });
});
