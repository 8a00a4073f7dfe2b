/**
 * Rules over the whole handbook: what is told of a way in one place agrees with what is told of it in the others. Each
 * fault is listed by its kind and way, so that all can be mended at once.
 */
import { describe, expect, it } from 'vitest';
import { handbook } from './handbook.js';
import { stepsOf, usualChoice } from '$lib/core/draw/index.js';
import { dayInYear } from '$lib/core/dates.js';
import { coverOf } from '$lib/core/handbook/cover.js';
import { allNames } from '$lib/core/handbook/names.js';
import { cutOf } from '$lib/core/handbook/schema.js';
import type { Kind, Way, WayProfile } from '$lib/core/handbook/schema.js';
import type { Cut } from '$lib/core/handbook/benchSchema.js';
import type { Climate } from '$lib/core/season/climate.js';
import { tallOn } from '$lib/core/plan/tall.js';
import { walk } from '$lib/core/plan/walk.js';
import { seasonOfClimate } from '$lib/core/season/season.js';
import { madeRecord } from '$lib/core/season/made.js';
import { climateOfRecord, scenariosOf } from '$lib/core/season/scenarios.js';
import { windowOdds } from '$lib/core/season/suitability.js';
import { openAllYear } from '$lib/core/season/windows.js';
import { north, south, tropics } from '../../testing/climates.js';

const book = handbook();
interface Each {
	kind: Kind;
	profile: WayProfile;
	way: Way;
	cut: Cut;
}
const all: Each[] = [...book.kinds.values()].flatMap((kind) =>
	kind.ways.map((profile) => {
		const way = book.ways.get(profile.way)!;
		return { kind, profile, way, cut: cutOf(way, profile) };
	})
);
/** Where a rule does not hold. */
const faults = (holds: (e: Each) => boolean): string[] => all.flatMap((e) => (holds(e) ? [] : `${e.kind.id}/${e.profile.id}`));
const steps = ({ kind, profile, way, cut }: Each) =>
	stepsOf(way, profile, kind.hazards, cut, usualChoice(way, profile, cut), String, (a, b) => `${a}–${b}`);
const textOf = (e: Each): string =>
	[e.profile.piece.say, e.profile.cover, e.profile.medium, ...steps(e).map((s) => s.say)].join(' ');

const opens = (climate: Climate) => {
	const now = dayInYear(2026, 200);
	const record = madeRecord(climate, now);
	const found = climateOfRecord(record, climate)!;
	const scenarios = scenariosOf(record, found, 2026, null);
	return ({ kind, profile }: Each) =>
		openAllYear(profile.window, climate) || windowOdds(profile.window, scenarios, found, kind).likely.length > 0;
};

describe('rules over the handbook', () => {
	it('no plant is potted into less than it stood in', () => {
		expect(
			faults(({ profile }) => {
				const litres = profile.stages
					.map((s) => book.containers.get(s.holds)!)
					.filter((c) => c.vessel !== null && c.how === 'alone' && c.vessel.shape !== 'jar')
					.map((c) => c.litres);
				return litres.every((l, n) => n === 0 || l >= litres[n - 1]!);
			})
		).toEqual([]);
	});

	it('no young shrub or tree waits in a pot that its height would topple: six times as tall as it is wide', () => {
		const seasons = [north, south].map(seasonOfClimate);
		expect(
			faults(({ kind, profile, cut }) => {
				const held = profile.stages.filter((s) => s.to !== 'planted').at(-1)!;
				const vessel = book.containers.get(held.holds)!.vessel;
				if (vessel === null || !('topCm' in vessel)) return true;
				return seasons.every((season) => {
					const open = season.openings(profile.window, dayInYear(2027, 1), dayInYear(2029, 1))[0];
					if (!open) return true;
					const way = walk({ kind, way: profile, start: open.bestFrom, season });
					const rooted = way?.steps.find((s) => s.stage.to === 'rooted')?.to ?? open.bestFrom;
					const cm = way && tallOn({ kind, cut, rooted, season }, way.planted);
					return !cm || cm <= 6 * vessel.topCm;
				});
			})
		).toEqual([]);
	});

	it('every way opens in a temperate garden, and what needs no winter where there is none', { timeout: 240_000 }, () => {
		expect(faults(opens(north))).toEqual([]);
		const tropical = opens(tropics);
		expect(faults((e) => e.kind.habit !== 'tender' || tropical(e))).toEqual([]);
	});

	it('has the common garden in it: 140 kinds and more, each of its own name, found by every other', () => {
		expect(book.kinds.size).toBeGreaterThanOrEqual(140);
		const names = [...book.kinds.values()].map((k) => k.common.toLowerCase());
		expect(new Set(names).size).toBe(names.length);
		const found = (q: string) =>
			[...book.kinds.values()].filter((k) => allNames(k).join(' ').toLowerCase().includes(q.toLowerCase())).length;
		// Names under which growers looked for a plant and found none.
		for (const q of [
			'boxwood',
			'sedum',
			'sweet potato vine',
			'hibiscus',
			'heuchera',
			'strawberry',
			'hosta',
			'peony',
			'salvia',
			'rose'
		])
			expect(found(q), q).toBeGreaterThan(0);
		for (const q of ['viburnum', 'spirea', 'weigela', 'privet', 'laurel', 'yew', 'elephant’s ear', 'begonia', 'canna', 'ginger'])
			expect(found(q), q).toBeGreaterThan(0);
		for (const q of ['banana', 'passion flower', 'jasmine', 'fern', 'grass', 'bamboo', 'thyme', 'geranium', 'aster', 'azalea'])
			expect(found(q), q).toBeGreaterThan(0);
	});

	it('a leafless piece has no leaves to keep, and a leafy one has', () => {
		expect(faults(({ cut }) => cut.draws !== 'rod' || (cut.leaves ?? 0) === 0)).toEqual([]);
		expect(faults((e) => !/leafless/i.test(e.profile.piece.say) || (e.cut.leaves ?? 0) === 0)).toEqual([]);
		expect(faults((e) => e.cut.draws !== 'rod' || !/Keep \d/.test(textOf(e)))).toEqual([]);
	});

	it('what is drawn is what is cut: a leaf for a leaf, a clump for a clump', () => {
		const drawn: Record<string, string> = {
			leaf: 'leaf',
			division: 'clump',
			offset: 'clump',
			tuber: 'tuber',
			root: 'root',
			layer: 'layer',
			hardwood: 'rod'
		};
		expect(faults(({ way, cut }) => !(way.id in drawn) || cut.draws === drawn[way.id])).toEqual([]);
	});

	it('a leaf that is set whole, in lengths or in wedges is not said to be cut in halves', () => {
		expect(faults((e) => !/whole|plump|lengths|wedges/i.test(e.profile.piece.say) || !/midrib|halves/i.test(textOf(e)))).toEqual(
			[]
		);
	});

	it('what is never covered has no step to cover it, and what is covered has', () => {
		expect(faults((e) => coverOf(e.profile.cover) !== 'none' || !steps(e).some((s) => s.title === 'Cover'))).toEqual([]);
		expect(faults((e) => !/\b(never|not?) cover/i.test(textOf(e)) || coverOf(e.profile.cover) === 'none')).toEqual([]);
	});

	it('the tip is kept or thrown away, not both', () => {
		expect(faults((e) => !(/Only the tip/.test(textOf(e)) && /tip is thrown away/.test(textOf(e))))).toEqual([]);
		expect(faults(({ cut, way }) => !(cut.tip === 'only' && /cut off the soft top/.test(way.how.join(' '))))).toEqual([]);
	});

	it('cut faces dry after the cut and before they are set', () => {
		const order = (e: Each): boolean => {
			const said = steps(e);
			const dry = said.findIndex((s) => /\bdry\b/i.test(s.title) && s.clock !== null);
			if (dry < 0) return true;
			const cut = said.findIndex((s) => s.title !== 'Before the first cut' && /\bcut\b/i.test(s.say));
			const set = said.findIndex(
				(s) => /\b(pot(?!-bound)|set|store)\b/i.test(s.say) && s.title !== 'Before the first cut' && s.clock === null
			);
			return cut >= 0 && cut < dry && (set < 0 || dry < set);
		};
		expect(faults(order)).toEqual([]);
	});

	it('has one length of a piece: the cut’s is the kind’s', () => {
		expect(
			faults(
				({ profile, cut }) =>
					!profile.piece.cm || !cut.cm || (cut.cm[0] === profile.piece.cm[0] && cut.cm[2] === profile.piece.cm[1])
			)
		).toEqual([]);
		expect(faults(({ cut }) => !cut.cm || (cut.cm[0] <= cut.cm[1] && cut.cm[1] <= cut.cm[2]))).toEqual([]);
	});

	it('figures make sense for the habit', () => {
		// A plant in growth bears no more cold than at rest, and one that bears no frost is not called hardy.
		expect([...book.kinds.values()].filter((k) => k.winter.limit_c < k.hardiness_c.v).map((k) => k.id)).toEqual([]);
		expect([...book.kinds.values()].filter((k) => k.habit === 'tender' && k.hardiness_c.v < -12).map((k) => k.id)).toEqual([]);
		// Nothing is set nearer than a third of its width, nor wider than three of it.
		expect(
			[...book.kinds.values()]
				.filter(
					(k) =>
						k.size.spacing_cm > 1.6 * Math.max(k.size.spread_cm, k.size.height_cm) || k.size.spacing_cm < 0.1 * k.size.spread_cm
				)
				.map((k) => k.id)
		).toEqual([]);
	});

	describe('days, windows and warmth make sense for the habit', () => {
		const season = seasonOfClimate(north);
		const [from, to] = [dayInYear(2027, 1), dayInYear(2028, 1)];
		const rests = season.standstills(from, to);
		/** Edges of rest are no one's to the day. */
		const resting = (day: number) => rests.some((r) => day > r.from + 10 && day < r.to - 10);
		const opened = (e: Each) => season.openings(e.profile.window, from, to);
		const days = (e: Each) =>
			opened(e).flatMap((o) => Array.from({ length: o.closes - o.opens + 1 }, (_, i) => resting(o.opens + i)));
		const inRest = (e: Each) => days(e).filter(Boolean).length / days(e).length;
		const hardy = (e: Each) => e.kind.hardiness_c.v <= -12;
		const rooting = (e: Each) => e.profile.stages.find((s) => s.to === 'rooted')?.days[1] ?? null;
		/** Of a kind's ways of one sort, against its ways of another. */
		const pairs = (one: string[], other: string[]) =>
			all.flatMap((a) =>
				all.flatMap((b) => (a.kind === b.kind && one.includes(a.way.id) && other.includes(b.way.id) ? [[a, b] as const] : []))
			);

		it('leafless rods are cut at rest; soft and half-ripe wood in growth; what is dug, not only in deep winter', () => {
			expect(faults((e) => e.cut.draws !== 'rod' || e.way.id === 'water' || inRest(e) > 0.6)).toEqual([]);
			expect(faults((e) => !hardy(e) || !['soft-tip', 'semi-ripe', 'nodal'].includes(e.way.id) || inRest(e) < 0.1)).toEqual([]);
			expect(faults((e) => !hardy(e) || !['division', 'offset'].includes(e.way.id) || inRest(e) < 0.6)).toEqual([]);
		});

		it('every window is two weeks at least, and the best of it lies within', () => {
			expect(faults((e) => opened(e).every((o) => o.closes - o.opens >= 14))).toEqual([]);
			expect(
				faults((e) => opened(e).every((o) => o.bestFrom >= o.opens && o.bestTo <= o.closes && o.bestFrom <= o.bestTo))
			).toEqual([]);
		});

		it('soft wood roots before half-ripe wood does, and that before hard wood; soft tips come first in the year', () => {
			const slower = ([a, b]: readonly [Each, Each]) => rooting(a) === null || rooting(b) === null || rooting(a)! <= rooting(b)!;
			expect(
				pairs(['soft-tip'], ['semi-ripe', 'hardwood'])
					.filter((p) => !slower(p))
					.map(([a]) => a.kind.id)
			).toEqual([]);
			expect(
				pairs(['semi-ripe', 'nodal'], ['hardwood'])
					.filter((p) => !slower(p))
					.map(([a]) => a.kind.id)
			).toEqual([]);
			const middle = (e: Each) => opened(e)[0]!.bestFrom + opened(e)[0]!.bestTo;
			expect(
				pairs(['soft-tip'], ['semi-ripe'])
					.filter(([a, b]) => hardy(a) && middle(a) > middle(b))
					.map(([a]) => a.kind.id)
			).toEqual([]);
		});

		it('what grows in the cool of the year is not struck in summer only', () => {
			// Growers of the cool half of the year: from memory.
			for (const id of ['aeonium', 'wallflower', 'hellebore', 'bears-breeches'])
				for (const e of all.filter((x) => x.kind.id === id)) {
					const summer = (day: number) => day >= dayInYear(2027, 166) && day <= dayInYear(2027, 243);
					const all = opened(e).flatMap((o) => Array.from({ length: o.closes - o.opens + 1 }, (_, i) => o.opens + i));
					expect(
						all.some((d) => !summer(d)),
						`${id}/${e.profile.id}`
					).toBe(true);
				}
		});

		it('roots of leafless wood and of cut roots are asked no warmth, those of leaves the most', () => {
			const usual = (id: string) => book.ways.get(id)!.warmth.usual_c;
			for (const cool of ['hardwood', 'root', 'division', 'sucker'])
				for (const warm of ['soft-tip', 'semi-ripe', 'nodal', 'basal', 'leaf'])
					expect(usual(cool), `${cool} ${warm}`).toBeLessThan(usual(warm));
			expect(Math.max(...[...book.ways.keys()].map(usual))).toBe(usual('leaf'));
		});
	});

	it('what irritates, poisons or spreads is said before the first cut', () => {
		expect(faults((e) => e.kind.hazards.every((h) => steps(e)[0]!.say.includes(h.say)))).toEqual([]);
		expect(faults((e) => steps(e)[0]!.caution)).toEqual([]);
		// Known to be poisonous, irritating or listed as invasive somewhere: from memory.
		for (const id of [
			'oleander',
			'angels-trumpet',
			'spurge',
			'hellebore',
			'lily-of-the-valley',
			'elephants-ear',
			'butterfly-bush',
			'bamboo',
			'ivy',
			'agapanthus'
		])
			expect(book.kinds.get(id)!.hazards.length, id).toBeGreaterThan(0);
		// On the lists of one region or another of those that grow outdoors and seed or run there: from memory.
		const LISTED = [
			...[
				'agapanthus',
				'aeonium',
				'african-daisy',
				'bamboo',
				'barberry',
				'blackberry',
				'butterfly-bush',
				'calla',
				'cherry-laurel'
			],
			...['cotoneaster', 'crocosmia', 'elephants-ear', 'firethorn', 'ginger-lily', 'honeysuckle', 'ice-plant', 'ivy', 'jasmine'],
			...['lantana', 'lupin', 'maiden-grass', 'mulberry', 'passion-flower', 'pothos', 'privet', 'rambling-rose', 'rhododendron'],
			...['silverberry', 'snake-plant', 'snowberry', 'spindle', 'tradescantia', 'trumpet-vine', 'virginia-creeper', 'wisteria']
		];
		expect(LISTED.filter((id) => !book.kinds.get(id)!.hazards.some((h) => /invasive/.test(h.say)))).toEqual([]);
	});
});
