export {
  leastRollRadius,
  neutralDepth,
  neutralPercentOf,
  ROLL_SKINS,
  type RolledSheet,
  type RollSkins,
  rollStrain,
  type RollStrain,
} from './neutral-line.ts';
