/** How many plants a hedge takes, in decimals as they were written: 0.7 at 0.1 is 8, whatever binary makes of it. */

/** A decimal as whole digits and how many of them stand behind the point. */
function decimal(n: number): { digits: bigint; behind: number } {
	const [mantissa = '', power = '0'] = String(n).split('e');
	const [whole = '', part = ''] = mantissa.split('.');
	const behind = part.length - Number(power);
	const digits = BigInt(whole + part);
	return behind < 0 ? { digits: digits * 10n ** BigInt(-behind), behind: 0 } : { digits, behind };
}

/**
 * Both ends are planted; the second row stands in the gaps of the first, at s/2, 3s/2 … as far as the hedge goes.
 *
 * @param length 0 or more, and @param spacing above 0, in one unit. Nothing long is one plant.
 */
export function hedgePlants(length: number, spacing: number, rows: 1 | 2): number {
	const [l, s] = [decimal(length), decimal(spacing)];
	const behind = Math.max(l.behind, s.behind);
	const [L, S] = [l.digits * 10n ** BigInt(behind - l.behind), s.digits * 10n ** BigInt(behind - s.behind)];
	const front = L / S + 1n;
	// The last k with (2k + 1)·s/2 ≤ L.
	const back = (2n * L + S) / (2n * S);
	return Number(rows === 2 ? front + back : front);
}
