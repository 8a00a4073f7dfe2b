/** Entries as data: what each kind takes and refuses; and stories told in full, counted by hand. */
import { describe, expect, it } from 'vitest';
import { KINDS, foldBatch, inHand, subjectOf } from './index.js';
import type { AnyEntry, EntryData, EntryKind } from './index.js';

const ID = '0190a8f0-0000-7000-8000-000000000001';
const none = { medium: '', hormone: '', wound: false, cover: '' };
const begin = { code: '322-U', kind_id: 'box', way_id: 'semi-ripe', stock_id: null, want_id: null, place_id: null };

let n = 0;
const entry = <K extends EntryKind>(kind: K, on: string, data: EntryData<K>) =>
	({ id: `e${n++}`, kind, subjectId: 'b', on, data, note: '' }) as unknown as AnyEntry;
const told = (...entries: AnyEntry[]) => {
	const r = foldBatch(entries);
	if (!r.ok) throw new Error(r.problem.sentence);
	return r.value!;
};

describe('entries', () => {
	it('each have a word, a subject and a shape', () => {
		for (const kind of Object.keys(KINDS) as EntryKind[]) {
			expect(KINDS[kind].words).toBeTruthy();
			expect([
				'garden',
				'place',
				'stock',
				'want',
				'figure',
				'batch',
				'weather',
				'care',
				'sighting',
				'timer',
				'shelf',
				'vessel',
				'kind',
				'lodging',
				'moves',
				'entry'
			]).toContain(subjectOf(kind));
		}
	});

	it('take what is right at the edges, and refuse one beyond with a sentence', () => {
		const want = {
			kind_id: 'box',
			purpose: 'hedge',
			label: '',
			place_id: null,
			target: 1,
			due: '2028-02-29',
			confidence: 0.5,
			shape: { lengthM: 3 }
		};
		const tries: [EntryKind, Record<string, unknown>, boolean][] = [
			['want.set', want, true],
			['want.set', { ...want, target: 2_000, confidence: 0.99 }, true],
			['want.set', { ...want, target: 2_001 }, false],
			['want.set', { ...want, confidence: 0.995 }, false],
			['want.set', { ...want, confidence: Number.NaN }, false],
			['want.set', { ...want, due: '2027-02-29' }, false],
			['want.set', { ...want, purpose: 'profit' }, false],
			['want.set', { ...want, label: 'x'.repeat(121) }, false],
			['batch.checked', { alive: 0, rooted: null, sign: 'rot' }, true],
			['batch.checked', { alive: -1, rooted: null, sign: 'rot' }, false],
			['batch.checked', { alive: 3, rooted: 1.5, sign: 'rot' }, false],
			['batch.checked', { alive: 3, rooted: 1, sign: 'happy' }, false],
			['batch.potted', { count: 0, container: '', place_id: null }, false],
			['batch.lost', { count: 5_001, why: '', planted: false }, false],
			['batch.moved', { place_id: 'the shed' }, false],
			['batch.moved', { place_id: ID }, true],
			['stock.leave', { basis: 'licence', reference: '  ' }, false],
			['stock.leave', { basis: 'hearsay', reference: 'a' }, false],
			['place.set', { name: 'Frame', kind: 'frame', light: 'bright', low_c: 5, high_c: 1, room_cm2: null, walk: 0 }, false],
			['place.set', { name: ' ', kind: 'frame', light: 'bright', low_c: null, high_c: null, room_cm2: null, walk: 0 }, false],
			['place.set', { name: 'Frame', kind: 'frame', light: 'bright', low_c: null, high_c: 1, room_cm2: 0, walk: 0 }, true]
		];
		for (const [kind, data, right] of tries) {
			const parsed = KINDS[kind].data.safeParse(data);
			expect(parsed.success, `${kind} ${JSON.stringify(data)}`).toBe(right);
			if (!parsed.success) expect(parsed.error.issues[0]!.message.length).toBeGreaterThan(5);
		}
	});

	it('of a garden are bounded by the earth and the calendar', () => {
		const garden = {
			name: 'Yard',
			place: '',
			latitude: -90,
			longitude: 180,
			height_m: 0,
			time_zone: 'UTC',
			units: 'metric',
			temperature: 'C',
			currency: 'EUR',
			coldest_c: -70,
			last_frost: { doy: 1, sd: 1 },
			first_frost: { doy: 365, sd: 60 },
			minutes_per_week: 0,
			away: [{ from: '2027-01-01', to: '2027-01-01' }],
			guessed: []
		};
		const right = (over: Record<string, unknown>) => KINDS['garden.set'].data.safeParse({ ...garden, ...over }).success;
		expect(right({})).toBe(true);
		for (const over of [
			{ latitude: 91 },
			{ latitude: Number.NaN },
			{ longitude: -181 },
			{ height_m: 9_000 },
			{ coldest_c: 31 },
			{ last_frost: { doy: 366, sd: 5 } },
			{ last_frost: { doy: 100, sd: 0 } },
			{ minutes_per_week: -1 },
			{ currency: 'euro' },
			{ away: [{ from: '2027-02-02', to: '2027-02-01' }] },
			{ name: '' }
		])
			expect(right(over), JSON.stringify(over)).toBe(false);
	});
});

describe('stories, counted by hand', () => {
	it('a potful split in two keeps its pieces between them', () => {
		const parent = told(
			entry('batch.struck', '2027-06-01', { ...begin, struck: 12, treatment: none, container: '' }),
			entry('batch.checked', '2027-07-10', { alive: 11, rooted: 8, sign: 'firm' }),
			entry('batch.potted', '2027-07-12', { count: 5, container: '9 cm pot', place_id: null }),
			entry('batch.split', '2027-07-20', { count: 6, to: ID })
		);
		// Five potted and one rooted go; two rooted and three unrooted stay.
		expect(parent).toMatchObject({ potted: 0, rooted: 2, unrooted: 3, splitOff: 6, lost: 1 });
		const child = told(
			entry('batch.split-off', '2027-07-20', {
				...begin,
				code: '323-Q',
				from: ID,
				unrooted: 0,
				rooted: 1,
				potted: 5,
				wintered: false,
				struck_on: '2027-06-01',
				treatment: none,
				container: '9 cm pot'
			})
		);
		expect(child).toMatchObject({ struck: 6, rooted: 1, potted: 5, fromBatch: ID, struckOn: '2027-06-01' });
		expect(inHand(parent) + inHand(child) + parent.lost).toBe(12);
	});

	it('a planned batch becomes the batch that was struck, with its own number', () => {
		const b = told(
			entry('batch.planned', '2027-05-01', { ...begin, count: 30, planned_on: '2027-06-20', promised: null }),
			entry('batch.struck', '2027-06-24', { ...begin, struck: 26, treatment: { ...none, hormone: 'powder' }, container: 'tray' })
		);
		expect(b).toMatchObject({ status: 'growing', plannedCount: 30, plannedOn: '2027-06-20', struck: 26, unrooted: 26 });
		expect(b.treatment.hormone).toBe('powder');
	});

	it('a plan that was dropped cannot be struck, nor a struck one dropped', () => {
		const planned = entry('batch.planned', '2027-05-01', { ...begin, count: 30, planned_on: '2027-06-20', promised: null });
		const dropped = entry('batch.dropped', '2027-05-02', { why: 'no time' });
		const struck = entry('batch.struck', '2027-06-24', { ...begin, struck: 26, treatment: none, container: '' });
		expect(told(planned, dropped).status).toBe('dropped');
		expect(foldBatch([planned, dropped, struck])).toMatchObject({ problem: { code: 'batch.dropped' } });
		expect(foldBatch([planned, struck, dropped])).toMatchObject({ problem: { code: 'batch.growing' } });
	});

	it('potting on what is potted changes pot and place, not the count', () => {
		const b = told(
			entry('batch.struck', '2027-06-01', { ...begin, struck: 4, treatment: none, container: 'tray' }),
			entry('batch.potted', '2027-07-12', { count: 4, container: '9 cm pot', place_id: null }),
			entry('batch.potted', '2027-09-12', { count: 4, container: '2 L pot', place_id: ID })
		);
		expect(b).toMatchObject({ potted: 4, rooted: 0, unrooted: 0, container: '2 L pot', placeId: ID });
		// They have been potted since July: growth is not begun anew by a bigger pot.
		expect(b.cohorts).toEqual([{ stage: 'potted', count: 4, since: '2027-07-12', aliveOn: '2027-09-12', lookedOn: null }]);
		expect(b.seen.potted).toEqual({ passed: 4, failed: 0 });
	});

	it('losses are held against the stage that was not reached', () => {
		const b = told(
			entry('batch.struck', '2027-06-01', { ...begin, struck: 20, treatment: none, container: '' }),
			entry('batch.checked', '2027-07-10', { alive: 16, rooted: 10, sign: 'firm' }),
			entry('batch.potted', '2027-07-12', { count: 6, container: '', place_id: null }),
			// Six unrooted go first, then two of the four rooted.
			entry('batch.lost', '2027-08-01', { count: 8, why: 'drought', planted: false }),
			entry('batch.wintered', '2028-04-20', { alive: 5 }),
			entry('batch.planted', '2028-05-10', { count: 5, place_id: null }),
			entry('batch.lost', '2028-07-01', { count: 2, why: 'voles', planted: true })
		);
		expect(b.seen).toEqual({
			rooted: { passed: 10, failed: 10 },
			potted: { passed: 6, failed: 2 },
			wintered: { passed: 5, failed: 3 },
			ready: { passed: 5, failed: 0 },
			planted: { passed: 3, failed: 2 }
		});
		expect(b).toMatchObject({ status: 'done', planted: 5, lostPlanted: 2, lost: 15 });
	});
});
