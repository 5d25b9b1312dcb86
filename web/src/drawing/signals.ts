import type { Schemas } from '../api/client';

export type Signal = Schemas['ChainStage']['out'];
/** A stage as it is typed. */
export type Stage = { name: string; out: Signal; odds: string; minutes: string };
export const SIGNALS: Record<Signal, string> = { UNKNOWN: '? open', GOOD: '✓ good', BAD: '✗ bad' };
