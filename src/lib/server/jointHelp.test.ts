/** What would help a want of the plan that is short. */
import { describe, expect, it } from 'vitest';
import { bindsOf } from '$lib/core/joint/index.js';
import type { JointRequest } from '$lib/core/joint/index.js';
import { north } from '../../testing/climates.js';
import { kind } from '../../testing/handbook.js';
import { exactOf, jointOf, sourceOf, wantOf } from '../../testing/joint.js';
import { asked, lavender, solved, today, want } from '../../testing/lavenders.js';

describe('what would help', () => {
	it('was seen to help: done, the want is met', { timeout: 240_000 }, () => {
		const r = asked({ wants: [want({ target: 60 })], sources: [sourceOf('s', lavender, 1)], minutesPerWeek: 60 });
		const s = solved(r);
		const exact = exactOf(r);
		const [bound] = bindsOf({
			solved: s,
			exact,
			already: (w) => w.already
		});
		expect(bound!.changes.length).toBeGreaterThan(1);
		expect(exact(r.wants[0]!, s.chosen[0]!)).toBeLessThan(0.9);
		for (const { change } of bound!.changes) {
			if (
				change.of === 'money' ||
				change.of === 'spend' ||
				change.of === 'grow' ||
				change.of === 'confidence' ||
				change.of === 'room' ||
				change.of === 'bed'
			)
				continue;
			const done: JointRequest =
				change.of === 'minutes'
					? { ...r, minutesPerWeek: r.minutesPerWeek + change.more }
					: change.of === 'stock'
						? { ...r, sources: [sourceOf('s', lavender, 1 + change.more)] }
						: change.of === 'due'
							? { ...r, wants: [want({ target: 60, due: r.wants[0]!.due + 7 * change.weeks })] }
							: { ...r, wants: [want({ target: change.to })] };
			expect(solved(done).odds[0]!, JSON.stringify(change)).toBeGreaterThanOrEqual(0.895);
		}
	});

	it('is growing the stock first where stock is what holds it, and never where only the time does', () => {
		const daylily = kind('daylily');
		const of = (count: number, due: number) => {
			const r = jointOf(north, [daylily], {
				wants: [wantOf({ id: 'w', kindId: 'daylily', due, target: 20 })],
				sources: [sourceOf('s', daylily, count)]
			});
			return bindsOf({ solved: solved(r), exact: exactOf(r), already: (w) => w.already })[0]!;
		};
		const little = of(1, today + 300);
		expect(little.by).toContain('stock');
		const grown = little.changes.flatMap((c) => (c.change.of === 'grow' ? [{ ...c.change.ladder, told: c.odds }] : []))[0]!;
		expect(grown.rungs.length).toBeGreaterThan(1);
		expect(grown.told).toBeGreaterThanOrEqual(0.9);
		const late = of(30, today + 10);
		expect(late.by).toEqual(['time']);
		expect(late.changes.some((c) => c.change.of === 'grow')).toBe(false);
	});
});
