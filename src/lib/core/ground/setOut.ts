/** A bed filled in rows, or as if unplanted. */
import { ok } from '../result.js';
import type { Result } from '../result.js';
import { driftIn } from './drift.js';
import { fillable, fillOutline } from './fill.js';
import type { Fill, FillAsked } from './fill.js';
import type { Setting } from './spacing.js';

export interface SetOutAsked extends Omit<FillAsked, 'pattern'> {
	pattern: Setting;
}

export function setOut({ pattern, ...asked }: SetOutAsked): Result<Fill> {
	if (pattern !== 'drift') return fillOutline({ ...asked, pattern });
	const good = fillable(asked, 'triangular');
	if (!good.ok) return good;
	const points = driftIn(asked, asked.spacing);
	return ok({ count: points.length, points, turnedBy: 0, exact: false });
}
