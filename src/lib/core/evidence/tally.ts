/** What was counted of the pieces of a batch, stage by stage: shared by the ledger and by what is learnt from it. */
import type { StageName } from '../handbook/schema.js';

export interface Tally {
	passed: number;
	failed: number;
}

export type Tallies = Partial<Record<StageName, Tally>>;
