/** What stands of a place, a stock plant and a want, as their entries left it. Named as the tables name it. */
import type { Protection } from '../material/protection.js';
import type { PlaceData } from './kinds/place.js';
import type { WantData } from './kinds/want.js';

export interface Place extends PlaceData {
	id: string;
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
}

export interface Want extends WantData {
	id: string;
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
