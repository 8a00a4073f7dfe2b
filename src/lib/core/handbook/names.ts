/** What a kind is called. */
import type { Kind } from './schema.js';

/** "Hibiscus ‘Blue Bird’": two varieties of one name never read alike. */
export const withVariety = (k: Pick<Kind, 'common' | 'cultivar'>): string =>
	k.cultivar ? `${k.common} ‘${k.cultivar}’` : k.common;
/** The same with what its plant is called here: "English lavender, by the gate". */
export const withLabel = (kind: Parameters<typeof withVariety>[0], label: string): string =>
	[withVariety(kind), label].filter(Boolean).join(', ');

/** Every name that it may be looked for by. */
export const allNames = (k: Pick<Kind, 'common' | 'also' | 'species' | 'cultivar' | 'trade'>): string[] =>
	[k.common, ...k.also, k.species, k.cultivar, k.trade].filter((n): n is string => n !== null);

/** "Lavandula angustifolia 'Hidcote'". */
export const botanicalName = (k: Pick<Kind, 'species' | 'cultivar'>): string =>
	k.cultivar ? `${k.species} ‘${k.cultivar}’` : k.species;
