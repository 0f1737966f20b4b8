import { IsOptional, Matches } from 'class-validator';
import type { AirframeNest } from '@grain-fold/core/airframe';
import { IsFlag } from '../project/form-fields.ts';
import { IsCountBetween } from '../project/rules.ts';

/** How long the server searches for a nest, in seconds. */
export const SHORTEST_NEST_JOB_S = 5,
  LONGEST_NEST_JOB_S = 600;
const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;

/** A search for a nest of an airframe as it is saved. */
export class StartNestJob {
  @Matches(UUID, { message: 'must be the id of an airframe' }) airframeId!: string;
  @IsCountBetween(SHORTEST_NEST_JOB_S, LONGEST_NEST_JOB_S) seconds!: number;
  /** Only this board of the kept nest, by its place there. */
  @IsOptional() @IsCountBetween(0, 2000) board?: number;
  /** Whether a nest other than the kept one is looked for. */
  @IsOptional() @IsFlag() isAnother?: boolean;
}

/** How a search stands; the same figures as one in the page. */
export interface NestJobProgress {
  readonly tried: number;
  readonly seconds: number;
  readonly score: { readonly unplacedMm2: number; readonly cost: number; readonly effectiveBoards: number };
}

/** A search on the server. */
export interface NestJobState {
  readonly id: string;
  readonly airframeId: string;
  readonly state: 'waiting' | 'running' | 'done' | 'failed';
  readonly seconds: number;
  readonly progress?: NestJobProgress;
  /** The best nest so far. */
  readonly nest?: AirframeNest;
  readonly fault?: string;
  readonly scope: { readonly board?: number; readonly isAnother?: boolean };
}

/** The searches of a workshop that run, wait, or have ended and are not fetched yet. */
export interface NestJobs {
  readonly jobs: readonly NestJobState[];
}
