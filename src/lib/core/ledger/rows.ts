/** What stands of a place, a stock plant and a want, as their entries left it. Named as the tables name it. */
import type { Protection } from '../material/protection.js';
import type { Point } from '../ground/region.js';
import type { ShapeData } from '../ground/shape.js';
import type { Cause } from './causes.js';
import type { Cover } from '../shelter/guards.js';
import type { LodgingData } from './kinds/lodging.js';
import type { MovesData } from './kinds/moves.js';
import type { PlaceData } from './kinds/place.js';
import type { WantData } from './kinds/want.js';

export interface Place extends PlaceData {
	id: string;
	/** What is over it this winter, and since when. */
	guard_cover: Cover | null;
	heater_w: number | null;
	heater_c: number | null;
	guarded_on: string | null;
	/** As its ground was measured; null until then. */
	shape: ShapeData | null;
	closed: boolean;
}

export interface Stock {
	id: string;
	kind_id: string;
	place_id: string | null;
	label: string;
	count: number;
	size_cm: number | null;
	age_years: number | null;
	condition: 'strong' | 'fair' | 'weak';
	protection: Protection['status'];
	protected_until: number | null;
	leave_basis: 'licence' | 'term-ended' | null;
	leave_reference: string | null;
	from_batch: string | null;
	since: string;
	/** Day on which size and age were told last. */
	told_on: string;
	gone_on: string | null;
	gone_why: string | null;
	gone_cause: Cause | null;
	/** Where each stands in the ground of its place, m; null where that is not told. */
	stands_at: Point[] | null;
}

/** What a household says of one plant's winter. */
export interface Lodging extends Omit<LodgingData, 'apart'> {
	/** The batch or the stock plant itself. */
	id: string;
	/** Day from which it stands alone for two weeks. */
	apart_on: string | null;
}

/** What is meant to move in the ground. */
export interface Moves extends MovesData {
	id: string;
	set_on: string;
}

export interface Want extends WantData {
	id: string;
	/** Plants still to be bought towards it, and those that were. */
	buying: number;
	bought: number;
	since: string;
	dropped_on: string | null;
	dropped_why: string | null;
}

export const protectionOf = (
	s: Pick<Stock, 'protection' | 'protected_until' | 'leave_basis' | 'leave_reference'>
): Protection => ({
	status: s.protection,
	until: s.protected_until,
	leave: s.leave_basis ? { basis: s.leave_basis, reference: s.leave_reference ?? '' } : null
});
