/**
 * What the page's own entries have made of a thing's version before the new counts have come to it. Without it
 * whoever logs twice in a second is told that someone else was quicker, and that someone is themself.
 */
export interface Seen {
	id: string;
	/** As the thing stood when the form was drawn; null of one that has none. */
	version: number | null;
}

const moved = new Map<string, { from: number; to: number }>();

/** The version that a form sends: as drawn, or as this page's own last entry left it. */
export function versionToSend(seen: Seen): number | null {
	const own = moved.get(seen.id);
	return own && own.from === seen.version ? own.to : seen.version;
}

/** An entry of this page was written on a thing drawn at `from`; it stands at `to` now. */
export const versionMoved = (id: string, from: number, to: number): void => void moved.set(id, { from, to });
