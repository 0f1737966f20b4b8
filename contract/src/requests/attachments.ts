import type { SheetKind } from '@grain-fold/core/plan';

/** A file that the server has kept: its hash, what it is, and how large. */
export interface KeptAttachment {
  readonly hash: string;
  readonly kind: SheetKind;
  readonly bytes: number;
  /** Of pictures. */
  readonly widthPx?: number;
  readonly heightPx?: number;
  /** What its name says otherwise. */
  readonly note?: string;
}
