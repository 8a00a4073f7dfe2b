/** The screens of a garden, told once: navigation, search and tests read this list. */
export interface Screen {
	/** Below the garden's address. */
	path: string;
	/** As it is called in the navigation and in the search. */
	name: string;
	/** Stands in the navigation. */
	main: boolean;
	/** Another day shows it otherwise. */
	timed: boolean;
	/** The screen of the navigation that it belongs to, where its address does not say so. */
	under?: string;
}

/** The screen of the navigation that an address below the garden's belongs to. */
export function mainOf(path: string): string {
	const first = path.split('/')[0] ?? '';
	return SCREENS.find((s) => s.path === first)?.under ?? first;
}

/** The part of an address below the garden's, without what it is asked. */
export const isTimed = (path: string): boolean => SCREENS.find((s) => s.path === path)?.timed ?? !/^(guide|c)\//.test(path);

export const SCREENS: readonly Screen[] = [
	{ path: 'round', name: 'Round', main: true, timed: true },
	{ path: 'wants', name: 'Wants', main: true, timed: true },
	{ path: 'stock', name: 'Stock', main: true, timed: true },
	{ path: 'bench', name: 'Bench', main: true, timed: true },
	{ path: 'ledger', name: 'Ledger', main: true, timed: false },
	{ path: 'handbook', name: 'Handbook', main: true, timed: true },
	{ path: 'plan', name: 'Plan', main: false, timed: false, under: 'wants' },
	{ path: 'shelter', name: 'Shelter', main: false, timed: false },
	{ path: 'ground', name: 'Ground', main: false, timed: true },
	{ path: 'ground/moves', name: 'Moves', main: false, timed: false },
	{ path: 'ground/leaving', name: 'Leaving this garden', main: false, timed: false },
	{ path: 'mix', name: 'Mix and shopping', main: false, timed: false },
	{ path: 'labels', name: 'Labels', main: false, timed: false },
	{ path: 'weather', name: 'Weather', main: false, timed: true },
	{ path: 'year', name: 'The year on one page', main: false, timed: true },
	{ path: 'round/away', name: 'Away', main: false, timed: true },
	{ path: 'round/walk', name: 'Order of the walk', main: false, timed: false },
	{ path: 'wants/new', name: 'Say what you want', main: false, timed: false },
	{ path: 'stock/new', name: 'Add a stock plant', main: false, timed: false },
	{ path: 'stock/import', name: 'Bring in a list of plants', main: false, timed: false },
	{ path: 'bench/new', name: 'Strike without a plan', main: false, timed: false },
	{ path: 'handbook/own', name: 'A kind of your own', main: false, timed: false },
	{ path: 'handbook/sources', name: 'What the figures rest on', main: false, timed: false },
	{ path: 'weather/import', name: 'Take in a weather record', main: false, timed: false },
	{ path: 'settings', name: 'Garden settings and places', main: false, timed: false }
];
