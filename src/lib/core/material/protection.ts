/**
 * May it be multiplied? A variety under a live plant patent or breeder's right may not be, whatever
 * is done with the plants, unless its holder has given leave. The app states the rule and keeps the
 * record; the label and the office that granted the right decide.
 */
export type ProtectionStatus = 'free' | 'protected' | 'unknown';

export interface Protection {
	status: ProtectionStatus;
	/** Last year of the term, if known. */
	until: number | null;
	/** A licence, or word that the term has ended, as the person recorded it. */
	leave: { basis: 'licence' | 'term-ended'; reference: string } | null;
}

export interface Permission {
	may: 'yes' | 'no' | 'look';
	sentence: string;
}

/** Nothing may be taken: it is protected, and no leave is recorded. Where it is not known the label is to be looked at, no more. */
export const isBarred = (p: Protection, year: number): boolean => p.status === 'protected' && mayMultiply(p, year).may !== 'yes';

export function mayMultiply(p: Protection, year: number): Permission {
	if (p.leave)
		return {
			may: 'yes',
			sentence:
				p.leave.basis === 'licence'
					? `Recorded here: a licence (${p.leave.reference}).`
					: `Recorded here: the term has ended (${p.leave.reference}).`
		};
	if (p.status === 'free') return { may: 'yes', sentence: 'Not protected as far as recorded here.' };
	if (p.status === 'protected') {
		if (p.until !== null && p.until < year)
			return {
				may: 'look',
				sentence: `Protected until ${p.until}, by what is recorded: the term seems over. Look at the label, then record that it has ended.`
			};
		return {
			may: 'no',
			sentence: `Protected${p.until ? ` until ${p.until}` : ''}: it may not be multiplied without a licence from the holder, not even for your own garden.`
		};
	}
	return {
		may: 'look',
		sentence: 'Not known whether it is protected. Look at the label for a patent or grant number, or “applied for”.'
	};
}
