/** The screens of a garden, told once: navigation, search, tests and pictures read this list. */
export interface Screen {
	/** Below the garden's address. */
	path: string;
	/** As it is called in the navigation and in the search. */
	name: string;
	/** Stands in the navigation. */
	main: boolean;
}

export const SCREENS: readonly Screen[] = [
	{ path: 'round', name: 'Round', main: true },
	{ path: 'wants', name: 'Wants', main: true },
	{ path: 'stock', name: 'Stock', main: true },
	{ path: 'bench', name: 'Bench', main: true },
	{ path: 'ledger', name: 'Ledger', main: true },
	{ path: 'handbook', name: 'Handbook', main: true },
	{ path: 'mix', name: 'Mix and shopping', main: false },
	{ path: 'labels', name: 'Labels', main: false },
	{ path: 'weather', name: 'Weather', main: false },
	{ path: 'year', name: 'The year on one page', main: false },
	{ path: 'round/away', name: 'Away', main: false },
	{ path: 'round/walk', name: 'Order of the walk', main: false },
	{ path: 'wants/new', name: 'Say what you want', main: false },
	{ path: 'stock/new', name: 'Add a stock plant', main: false },
	{ path: 'stock/import', name: 'Bring in a list of plants', main: false },
	{ path: 'bench/new', name: 'Strike without a plan', main: false },
	{ path: 'handbook/own', name: 'A kind of your own', main: false },
	{ path: 'handbook/sources', name: 'What the figures rest on', main: false },
	{ path: 'weather/import', name: 'Take in a weather record', main: false },
	{ path: 'settings', name: 'Garden settings and places', main: false }
];
