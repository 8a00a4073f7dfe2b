/** Names of the works of the round, as the ledger and the screens call them. */
export const CARE_WORDS: Record<string, string> = {
	'change-water': 'Change the water',
	vent: 'Air the covers',
	'tap-film': 'Tap the film',
	mist: 'Mist',
	water: 'Water',
	turn: 'Turn',
	feed: 'Feed',
	pinch: 'Pinch out',
	renew: 'Strike fresh from it',
	firm: 'Firm in again',
	prepare: 'Fill and soak',
	strike: 'Strike',
	look: 'Look',
	'winter-look': 'Winter look',
	pot: 'Pot',
	'winter-count': 'Count after winter',
	'frost-count': 'Look after frost',
	'frost-look': 'Look after frost',
	missed: 'Plan again',
	shelter: 'Bring in',
	plant: 'Plant',
	cover: 'Cover for the night',
	harden: 'Harden off',
	heat: 'Shade and mist in the heat',
	'damp-days': 'Dull, damp days',
	'rain-ahead': 'Rain ahead'
};

/** Days until skipped work is asked for again. Common practice, no source. */
export const ASKED_AGAIN: Record<string, number> = {
	look: 10,
	prepare: 3,
	'winter-look': 7,
	pot: 14,
	plant: 21,
	'winter-count': 30,
	'frost-count': 7,
	'frost-look': 7,
	missed: 14,
	strike: 14,
	shelter: 3,
	cover: 1,
	harden: 2,
	heat: 1,
	'damp-days': 3,
	'rain-ahead': 1
};
