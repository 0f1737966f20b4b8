export {
  BOARD_GRAINS,
  type Blemish,
  type Board,
  type BoardEvent,
  LONGEST_BOARD_MM,
  MOST_BLEMISHES,
  MOST_BOARDS,
  THICKEST_BOARD_MM,
  THINNEST_BOARD_MM,
  WIDEST_BLEMISH_MM,
  arealMassOf,
  boardAreaMm2,
  isCleanBoard,
  materialsOf,
  thicknessOf,
} from './board.ts';
export { blemishRing, blemishesOn, markedApart } from './blemishes.ts';
export { boardName, changedBoard, isNamedBySize } from './board-name.ts';
export { BOARD_EVENTS, MOST_EVENTS, eventWords, withEvent, withoutHistory } from './history.ts';
export { type OffcutShape, SHORTEST_BOARD_MM, boardCorners, offcutShape } from './offcut.ts';
export {
  GRAIN_RULES,
  type GrainRule,
  TURN_STEPS,
  type FitStep,
  type TurnStep,
  allowedTurns,
  fitStep,
  liesAnyWay,
  mayLieTurned,
} from './grain.ts';
