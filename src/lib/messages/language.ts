/**
 * The texts of the screens, one place per subject (bench.ts, plan.ts, …). Sentences that hang on figures are built beside
 * the computation, in the `words` of each subject of the core.
 *
 * Another language is one more object of the same shape in each place, and its name in LANGUAGES: what it does not have
 * yet is said in English.
 */

export const LANGUAGES = ['en'] as const;
export type Language = (typeof LANGUAGES)[number];

/** What a text may be given: words or a figure, already written as whoever reads writes them. */
export type Said = string | number;

let chosen: () => string = () => 'en';

/** Says where the language of whoever reads now is found: a request on the server, the page on the device. */
export function spokenIn(read: () => string): void {
	chosen = read;
}

/** The texts of one subject, each looked up when it is said. */
export function inLanguages<Texts extends object>(by: { en: Texts } & Partial<Record<string, Partial<Texts>>>): Texts {
	if (Object.keys(by).length === 1) return by.en;
	return new Proxy(by.en, {
		get: (en, key) => {
			const own: Partial<Texts> = by[chosen()] ?? en;
			return own[key as keyof Texts] ?? en[key as keyof Texts];
		}
	});
}
