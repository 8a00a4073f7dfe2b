/** What batches ask of a week: a winter that falls into a stage is cared for as winter alone, and what waits is cared for until it leaves. */
import { describe, expect, it } from 'vitest';
import { CLIMATES } from '../../../testing/calibrate.js';
import { kind } from '../../../testing/handbook.js';
import { jointOf } from '../../../testing/joint.js';
import { Rows } from './needs.js';
import type { StageNeed } from '../plan/effort.js';

const lavender = kind('lavender');
const need = (over: Partial<StageNeed> & Pick<StageNeed, 'to' | 'from' | 'until'>): StageNeed => ({
	...{ entering: 10, container: 'pot', open: false, containers: 10, areaCm2: 0, litres: 0, minutes: 0 },
	...{ minutesPerWeek: 0, handling: 0 },
	...over
});

describe('minutes of a week', () => {
	it('are of winter or of the stage that it falls into, not of both, and run on until it leaves', () => {
		const r = jointOf(CLIMATES[0]!, [lavender], { wants: [], sources: [], minutesPerWeek: 0 });
		const rows = new Rows(r, r.today + 400, new Map());
		const day = (week: number) => r.today + 7 * week;
		const stages = {
			...{ kind: lavender, struck: true, grows: () => 'season' as const, rests: [] },
			needs: [
				need({ to: 'ready', from: day(2), until: day(50), minutesPerWeek: 7 }),
				need({ to: 'wintered', from: day(20), until: day(40), minutesPerWeek: 2 })
			]
		};
		// Where there is no time at all, all that is asked is too much.
		const asked = new Map(rows.overBy(stages).map(({ row, over }) => [row, over]));
		expect(Array.from({ length: 54 }, (_, w) => asked.get(w) ?? 0)).toEqual(
			Array.from({ length: 54 }, (_, w) => (w < 2 || w >= 50 ? 0 : w < 20 || w >= 40 ? 7 : 2))
		);
		// The same where it grows already, each stage by itself.
		const winters = stages.needs.filter((n) => n.to === 'wintered');
		const busy = stages.needs.map((n) => ({
			kindId: 'lavender',
			roomId: null,
			grows: 'season' as const,
			struck: false,
			need: n,
			winters
		}));
		const living = new Rows({ ...r, busy }, r.today + 400, new Map());
		expect([1, 10, 30, 45, 50].map((w) => living.busy[w])).toEqual([0, 7, 2, 7, 0]);
	});
});
