/** What took a plant: causes are kept apart, for each teaches another thing. */

export const CAUSES = ['cold', 'wet', 'dry', 'dark', 'pest', 'other'] as const;
export type Cause = (typeof CAUSES)[number];

export const CAUSE_WORDS: Readonly<Record<Cause, string>> = {
	cold: 'cold',
	wet: 'wet, it rotted',
	dry: 'drought',
	dark: 'too dark',
	pest: 'a pest or disease',
	other: 'something else'
};
/** ", of cold". */
export const ofCause = (c: Cause | null | undefined): string => (c && c !== 'other' ? `, ${CAUSE_WORDS[c]}` : '');
