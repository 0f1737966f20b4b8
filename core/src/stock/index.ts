export { type Board, THICKEST_BOARD_MM, THINNEST_BOARD_MM, arealMassOf, materialsOf, thicknessOf } from './board.ts';
export { type GrainRule, type TurnStep, allowedTurns } from './grain.ts';
