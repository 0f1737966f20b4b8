import type { Bounds } from '../geometry/index.ts';
import { MM_PER_INCH, bareLengthText, lengthText, sizeText } from '../units/index.ts';

/** Papers by name, portrait, in mm. */
export const PAPERS = {
  A4: { widthMm: 210, heightMm: 297 },
  Letter: { widthMm: 8.5 * MM_PER_INCH, heightMm: 11 * MM_PER_INCH },
  A3: { widthMm: 297, heightMm: 420 },
  Tabloid: { widthMm: 11 * MM_PER_INCH, heightMm: 17 * MM_PER_INCH },
  Legal: { widthMm: 8.5 * MM_PER_INCH, heightMm: 14 * MM_PER_INCH },
} as const;

export type PaperName = keyof typeof PAPERS;
export const PAPER_NAMES = Object.keys(PAPERS) as readonly PaperName[];

/** Smallest and largest paper side in mm. */
export const SMALLEST_PAPER_MM = 90;
export const LARGEST_PAPER_MM = 5000;
/** Widest edge left white, and widest strip that neighbours share, in mm. */
export const WIDEST_MARGIN_MM = 50;
export const WIDEST_OVERLAP_MM = 50;
export const ORIENTATIONS = ['portrait', 'landscape'] as const;
/** One template for each shape, to be traced as often as needed, or one for every piece. */
export const TEMPLATE_RULES = ['each-shape', 'every-piece'] as const;

/** How parts come on paper: each by itself, all as one plan, or as they lie on their boards; or what is written and drawn on them, by itself. */
export const PAGE_WAYS = ['loose', 'plan', 'boards', 'decals'] as const;
export type PageWay = (typeof PAGE_WAYS)[number];
/** Sections of one set of pages at most. */
export const MOST_SECTIONS = 8;

/** What is printed on. */
export interface PaperChoice {
  readonly paper: PaperName | 'own' | 'roll';
  /** Size of the builder's own paper; read only when paper is 'own'. */
  readonly ownWidthMm: number;
  readonly ownHeightMm: number;
  /** Across a roll, whose sheets are as long as it takes; read only when paper is 'roll'. */
  readonly rollWidthMm?: number;
  readonly orientation: (typeof ORIENTATIONS)[number];
}

/** Some of the parts, printed in a way of their own. */
export interface PageSection {
  readonly id: string;
  readonly way: PageWay;
  /** Ids of its parts; all that no other section has when undefined. */
  readonly partIds?: readonly string[];
  /** Its paper; that of the set when undefined. */
  readonly paper?: PaperChoice;
  /** Whether decals are printed for film that is laid on face down. */
  readonly isMirrored?: boolean;
}

/** What was printed, so that what changed since can be printed alone. */
export interface PrintedPages {
  /** As YYYY-MM-DD. */
  readonly date: string;
  /** Every piece whose template is on paper, with a fingerprint of it. */
  readonly pieces: readonly { readonly pieceId: string; readonly readHash: string }[];
}

/** How the builder prints. */
export interface PageSettings extends PaperChoice {
  /** Edge that the printer leaves white. */
  readonly marginMm: number;
  /** Width that neighbouring pages of one sheet share. */
  readonly overlapMm: number;
  readonly templates: (typeof TEMPLATE_RULES)[number];
  /** What is printed how; every part by itself when undefined. */
  readonly sections?: readonly PageSection[];
  /** Whether pages come before that say how to print and join them. */
  readonly hasCover?: boolean;
  /** The printer of the workshop that pages are corrected for; none when undefined. */
  readonly printerId?: string;
  /** Number of the packing that a search found best; the usual one when undefined. */
  readonly packing?: number;
  /** What was printed last; nothing when undefined. */
  readonly printed?: PrintedPages;
}

export const DEFAULT_PAGE_SETTINGS: PageSettings = {
  paper: 'A4',
  ownWidthMm: 210,
  ownHeightMm: 297,
  orientation: 'portrait',
  marginMm: 8,
  overlapMm: 12,
  templates: 'each-shape',
};

/** A page's places in mm from its lower left corner. */
export interface PageFrame {
  readonly widthMm: number;
  readonly heightMm: number;
  /** Where the drawing goes. */
  readonly window: Bounds;
  /** Strip for the title, legend, locator map and the bars across. */
  readonly footer: Bounds;
  /** Strip for the bars up the page. */
  readonly gutter: Bounds;
}

const FOOTER_MM = 25;
const GUTTER_MM = 9;

/** Across a roll that is not said otherwise, in mm. */
export const USUAL_ROLL_MM = 610;

/** Width and height of the paper as it lies; a roll is as long as can be. */
export function paperSize(settings: PaperChoice): { readonly widthMm: number; readonly heightMm: number } {
  if (settings.paper === 'roll') return { widthMm: settings.rollWidthMm ?? USUAL_ROLL_MM, heightMm: LARGEST_PAPER_MM };
  const paper =
    settings.paper === 'own'
      ? { widthMm: settings.ownWidthMm, heightMm: settings.ownHeightMm }
      : PAPERS[settings.paper];
  const [short, long] = [Math.min(paper.widthMm, paper.heightMm), Math.max(paper.widthMm, paper.heightMm)];
  return settings.orientation === 'portrait' ? { widthMm: short, heightMm: long } : { widthMm: long, heightMm: short };
}

/** Least room on a page to draw on, in mm. */
const LEAST_ROOM_MM = 20;

/** Why these settings cannot print, or undefined: the number and what it may be; of any section's paper too. */
export function pageSettingsFault(settings: PageSettings): string | undefined {
  const all = [settings, ...(settings.sections ?? []).map(({ paper }) => ({ ...settings, ...paper }))];
  return all.map(paperFault).find((fault) => fault !== undefined);
}

function paperFault(settings: PageSettings): string | undefined {
  const { widthMm, heightMm } = paperSize(settings);
  const sides = [widthMm, heightMm];
  if (!sides.every((side) => side >= SMALLEST_PAPER_MM && side <= LARGEST_PAPER_MM))
    return `Paper must measure ${bareLengthText(SMALLEST_PAPER_MM, 0)} to ${lengthText(LARGEST_PAPER_MM, 0)} a side; this is ${sizeText(widthMm, heightMm)}.`;
  if (!(settings.marginMm >= 0 && settings.marginMm <= 50))
    return `The margin must be 0 to ${lengthText(50, 0)}; it is ${lengthText(settings.marginMm)}.`;
  if (!(settings.overlapMm >= 0 && settings.overlapMm <= 50))
    return `The overlap must be 0 to ${lengthText(50, 0)}; it is ${lengthText(settings.overlapMm)}.`;
  const room =
    Math.min(widthMm - 2 * settings.marginMm - GUTTER_MM, heightMm - 2 * settings.marginMm - FOOTER_MM) -
    settings.overlapMm;
  return room < LEAST_ROOM_MM
    ? `Margin ${lengthText(settings.marginMm)} and overlap ${lengthText(settings.overlapMm)} leave ${lengthText(Math.max(0, room), 0)} to draw on; at least ${lengthText(LEAST_ROOM_MM, 0)} are needed.`
    : undefined;
}

/** Where things stand on a page of these settings. */
export function pageFrame(settings: PageSettings): PageFrame {
  const { widthMm, heightMm } = paperSize(settings);
  return frameOf(widthMm, heightMm, settings.marginMm);
}

/** The same with so much of the drawing's height left out above: a sheet off a roll. */
export const shortenedFrame = ({ widthMm, heightMm, footer }: PageFrame, byMm: number): PageFrame =>
  frameOf(widthMm, heightMm - byMm, footer.minX);

function frameOf(widthMm: number, heightMm: number, m: number): PageFrame {
  return {
    widthMm,
    heightMm,
    window: { minX: m + GUTTER_MM, minY: m + FOOTER_MM, maxX: widthMm - m, maxY: heightMm - m },
    footer: { minX: m, minY: m, maxX: widthMm - m, maxY: m + FOOTER_MM },
    gutter: { minX: m, minY: m + FOOTER_MM, maxX: m + GUTTER_MM, maxY: heightMm - m },
  };
}
