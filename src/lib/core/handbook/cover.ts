/**
 * What covers pieces while they root, read from words as people write them: nothing, a film or bag that is tapped, or
 * a lid that is lifted (dome, propagator, frame). The guide, the care and the water read it here, and so agree.
 */
export type Cover = 'none' | 'film' | 'lid';

/** "none in moist air, else a dome" and "never cover: grey leaves rot" are said of open trays. */
const OPEN = /^(none|never|no cover|not covered|open|uncovered|without)\b/i;
const FILM = /\b(bags?|films?|polythene|cling|plastic)\b/i;

export function coverOf(words: string): Cover {
	const said = words.trim();
	if (said === '' || OPEN.test(said)) return 'none';
	return FILM.test(said) ? 'film' : 'lid';
}
