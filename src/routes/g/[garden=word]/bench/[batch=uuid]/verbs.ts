/** What can be logged of a batch, by the words of its buttons; and which work of the round asks for it. */
export const VERBS = [
	['checked', 'Check'],
	['potted', 'Pot'],
	['wintered', 'Count after winter'],
	['planted', 'Plant'],
	['moved', 'Move'],
	['lost', 'Lost'],
	['given', 'Give away'],
	['kept', 'Keep as stock'],
	['split', 'Split'],
	['meant', 'Meant for']
] as const;

export type Verb = (typeof VERBS)[number][0] | 'struck' | 'dropped';

export const OFFERED: Record<string, Verb> = {
	strike: 'struck',
	look: 'checked',
	'winter-look': 'checked',
	pot: 'potted',
	'winter-count': 'wintered',
	'frost-count': 'wintered',
	plant: 'planted',
	give: 'given',
	shelter: 'moved'
};
