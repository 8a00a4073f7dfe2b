/** What speaks against an option, and why a way cannot bring what is wanted: in sentences. */
import type { DayNumber } from '../dates.js';
import type { WayProfile } from '../handbook/schema.js';
import { fullYield } from '../material/capacity.js';
import type { Effort } from './effort.js';
import type { Flush } from './flushes.js';
import type { PlanOption, PlanRequest, WayOutlook } from './planTypes.js';

export function bindings(r: PlanRequest, way: WayProfile, effort: Effort, flushes: readonly Flush[]): PlanOption['binds'] {
	const binds: PlanOption['binds'] = r.carries(effort.stages, way);
	if (flushes.length > 1)
		binds.push({
			code: 'flushes',
			sentence: `The stock gives it only in ${flushes.length} goes, with time to grow back in between.`
		});
	return binds;
}

export function whyNot(s: { r: PlanRequest; way: WayProfile; open: readonly { from: DayNumber }[] }, result: WayOutlook): string {
	const { r, way } = s;
	if (s.open.length === 0) return 'Its window does not open here in most years.';
	if (s.open.every((o) => o.from > r.due)) return 'Its window opens only after the day you want them.';
	if (result.curve.length === 0) return 'No season here is long enough for them to be planted out.';
	if (result.curve.every((c) => c.strike === null && c.inTime < 0.5))
		return 'Struck on any day still open, most of them would not be ready in time.';
	if (result.curve.every((c) => c.strike === null))
		return 'You can’t be that sure of having them by then, however many you strike: too much hangs on things that hit a whole batch.';
	const least = Math.min(...result.curve.flatMap((c) => (c.strike === null ? [] : [c.strike])));
	return `It takes ${least}; the stock gives about ${fullYield(r.stock, way.gives, r.today)} at a time.`;
}
