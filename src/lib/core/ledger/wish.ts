/** How else a want would do, and its rank among others, in words: the same in the ledger and on the want. */

export interface Wish {
	enough: number | null;
	lateWeeks: number;
	weighs: 'first' | 'alike' | 'last';
}

/** "12 would do", "up to 6 weeks late would do", "before other wants"; none where nothing was said. */
export const wishWords = ({ enough, lateWeeks, weighs }: Wish): string[] => [
	...(enough === null ? [] : [`${enough} would do`]),
	...(lateWeeks === 0 ? [] : [`up to ${lateWeeks === 1 ? 'a week' : `${lateWeeks} weeks`} late would do`]),
	...(weighs === 'alike' ? [] : [weighs === 'first' ? 'before other wants' : 'after other wants'])
];
