import { polygonArea, type Polygon } from '../geometry/index.ts';

/** Nothing of a board may be thinner than paper or thicker than a slab. */
export const THINNEST_BOARD_MM = 0.5;
export const THICKEST_BOARD_MM = 100;

/** Which way the grain (or the paper's stiffer way) runs on a board. */
export const BOARD_GRAINS = ['width', 'height', 'none'] as const;

/** A place of a board that is not to be used: a dent, a stain. */
export interface Blemish {
  /** Its middle from the board's lower left corner, and how far it reaches, in mm. */
  readonly x: number;
  readonly y: number;
  readonly radiusMm: number;
}
/** Most blemishes of one board, and how far one may reach, in mm. */
export const MOST_BLEMISHES = 40;
export const WIDEST_BLEMISH_MM = 1000;

/** What befell a board on a day: some were bought, it was cut from another for an airframe, or came over from one. */
export type BoardEvent =
  | { readonly date: string; readonly kind: 'bought'; readonly count: number }
  | { readonly date: string; readonly kind: 'cut'; readonly from: string; readonly airframe: string }
  | { readonly date: string; readonly kind: 'taken'; readonly airframe: string };

/** Boards of one size and material in the workshop's stock. */
export interface Board {
  readonly id: string;
  readonly name: string;
  /** Material's name; parts ask for a material by this name. */
  readonly material: string;
  /** Measured, not nominal, thickness in mm. */
  readonly thicknessMm: number;
  /** Size along x and y in mm. */
  readonly widthMm: number;
  readonly heightMm: number;
  readonly count: number;
  /** Price of one board in the builder's own currency. */
  readonly price: number;
  readonly grain: (typeof BOARD_GRAINS)[number];
  /** Mass of the board's area in g/m², skins included. */
  readonly gramsPerSquareMetre: number;
  /** Outline of an offcut, counter-clockwise within the width and height; a whole board has none. */
  readonly outline?: Polygon;
  /** Places that no part is cut from. */
  readonly blemishes?: readonly Blemish[];
  /** What befell it, the oldest first. */
  readonly history?: readonly BoardEvent[];
}

/** The thickness a part of a material is figured with: that of the first board of the material in stock. */
export function thicknessOf(material: string, boards: readonly Board[]): number | undefined {
  return boards.find((board) => board.material === material)?.thicknessMm;
}

/** Grams per square metre of a material, from the first board of it in stock. */
export function arealMassOf(material: string, boards: readonly Board[]): number | undefined {
  return boards.find((board) => board.material === material)?.gramsPerSquareMetre;
}

/** Names of the materials in stock, in the order of the boards. */
export const materialsOf = (boards: readonly Board[]): readonly string[] => [
  ...new Set(boards.map((board) => board.material)),
];

/** Whether a board is whole and unmarked: what shows is cut from such. */
export const isCleanBoard = ({ outline, blemishes }: Pick<Board, 'outline' | 'blemishes'>): boolean =>
  !outline && !blemishes?.length;

/** Longest side of a board in mm, and how many of one kind are counted at most. */
export const LONGEST_BOARD_MM = 10_000;
export const MOST_BOARDS = 999;

/** Area of a board in mm², that of its outline where it has one. */
export const boardAreaMm2 = ({
  outline,
  widthMm,
  heightMm,
}: Pick<Board, 'outline' | 'widthMm' | 'heightMm'>): number => (outline ? polygonArea(outline) : widthMm * heightMm);
