/** A want that is less sure than asked, with the best that can still be done for it. */
import type { IsoDate } from '../dates.js';

export interface Repair {
	id: string;
	name: string;
	label: string;
	target: number;
	due: IsoDate;
	confidence: number;
	/** As it stands, with nothing new. */
	odds: number;
	/** Something grows or is planned for it already: it was in hand once, or was begun. */
	begun: boolean;
	says: string;
	/** First day of the repair and the last on which it is as good; null where nothing mends it. */
	on: IsoDate | null;
	last: IsoDate | null;
}
