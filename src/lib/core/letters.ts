/** Names as they are typed on any keyboard. */

/** Letters that Unicode does not take apart into letter and mark. */
const WHOLE: Record<string, string> = { ł: 'l', ø: 'o', đ: 'd', ß: 'ss', æ: 'ae', œ: 'oe', ı: 'i', ð: 'd', þ: 'th' };

/** Without marks and case: "Łódź" is "lodz". Hyphens, dots and quotes count as spaces: "Hay-on-Wye" is "hay on wye". */
export const plainLetters = (text: string): string =>
	text
		.normalize('NFKD')
		.replace(/\p{M}/gu, '')
		.toLowerCase()
		.replace(/[łøđßæœıðþ]/g, (c) => WHOLE[c]!)
		.replace(/[^\p{L}\p{N}]+/gu, ' ')
		.trim();
