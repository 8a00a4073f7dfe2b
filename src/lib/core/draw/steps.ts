/** The work of one piece, step by step, in words made from the same figures as the drawing. */
import { coverOf } from '../handbook/cover.js';
import type { Clock, Cut } from '../handbook/benchSchema.js';
import type { Way, WayProfile } from '../handbook/schema.js';
import { underOf } from './guide.js';
import type { GuideChoice } from './guide.js';

export interface Step {
	title: string;
	say: string;
	/** A clock this step waits for. */
	clock: Clock | null;
	caution: boolean;
}

const TIP = {
	only: 'Only the tip.',
	best: 'Tips first; lengths from below them root a little less readily.',
	may: '',
	never: 'The thin tip is thrown away.'
} as const;
const WOOD: Record<string, string> = {
	soft: 'soft new growth',
	firm: 'this year’s growth that has turned firm',
	woody: 'hard wood'
};
const DROPS = {
	none: '',
	film: 'If drops gather, tap them down.',
	lid: 'If drops gather, air it some hours.'
} as const;
const count = (n: number, one: string, many: string) => `${n} ${n === 1 ? one : many}`;

/** `length` writes a length and `range` two of them in the person's units. */
export function stepsOf(
	way: Pick<Way, 'how' | 'cautions' | 'signs' | 'timers' | 'piece' | 'id'>,
	profile: Pick<WayProfile, 'piece' | 'medium' | 'cover' | 'hormone' | 'then' | 'how'>,
	hazards: readonly { what: string; say: string }[],
	cut: Cut,
	choice: GuideChoice,
	length: (cm: number) => string,
	range: (low: number, high: number) => string
): Step[] {
	const steps: Step[] = [];
	const add = (title: string, say: string, clock: Clock | null = null, caution = false) =>
		steps.push({ title, say, clock, caution });
	const [one, many] = way.piece;
	const dangers = [...hazards.map((h) => `${h.what.charAt(0).toUpperCase()}${h.what.slice(1)}: ${h.say}`), ...way.cautions];
	const blade =
		cut.draws === 'clump' || cut.draws === 'tuber'
			? 'Cut away from yourself, on a board; wipe the blade between plants.'
			: 'A sharp, clean blade, wiped between plants, and cut away from your hand.';
	add(
		'Before the first cut',
		[...dangers, blade, 'The label of what you use and the rules where you live come before anything written here.'].join(' '),
		null,
		true
	);
	const how = profile.how ?? way.how;
	const clocks = (when: Clock['when'], step?: number) => {
		for (const c of way.timers)
			if (c.when === when && (step === undefined || Math.min(c.step ?? how.length, how.length) === step)) add(c.say, c.why, c);
	};
	clocks('before');
	const stemlike = cut.draws === 'stem' || cut.draws === 'rod' || cut.draws === 'basal';
	if (!stemlike || !cut.cm) {
		// Cut faces dry and roots drink between their own steps, not before there is a cut.
		how.forEach((h, i) => {
			add(`${i + 1} of ${how.length}`, h);
			clocks('cut', i + 1);
		});
	} else {
		const [short, usual, long] = cut.cm;
		const wood = (cut.wood ?? ['firm']).map((w) => WOOD[w]).join(' or ');
		add(
			'Choose',
			`${profile.piece.say}: ${wood}, healthy${cut.flowers_off ? ', not in flower' : ''}, about ${cut.mm ?? 4} mm thick. Longer and thicker roots better than short and thin.`
		);
		const nodes = cut.nodes ? `, with ${count(cut.nodes[0], 'node', 'nodes')} at least` : '';
		const tip = TIP[cut.tip ?? 'may'];
		add(
			'Cut',
			`${length(usual)} long (${range(short, long)})${nodes}: just below a node on the ${one}, ${choice.slant ? 'at a slant, so that you know which end goes down' : 'straight across'}. The parent is cut just above a node and keeps two. ${tip}`.trim()
		);
		if (cut.draws !== 'rod') {
			const bare = underOf(cut);
			add(
				'Strip',
				`Bare the lower ${length(bare)}, ${count(cut.under ?? 1, 'node', 'nodes')} at least. ${cut.leaves === 0 ? 'Off with all its leaves: it lives on its stem.' : `Keep ${count(cut.leaves ?? 3, 'leaf or pair', 'leaves or pairs')} at the top${cut.halve ? ' and cut them across to half' : ''}.`}${cut.flowers_off ? ' Off with buds and flowers.' : ''}`
			);
		}
		if (choice.wound)
			add(
				'Wound',
				`Draw a thin sliver off one side of the lowest ${length(Math.min(2.5, underOf(cut) * 0.6))}: more surface for roots on hard wood.`
			);
		clocks('cut');
		if (choice.inWater) {
			add(
				'Set in water',
				`The lowest ${length(underOf(cut))} under water, no leaf below the line. Change the water every 2–3 days.`
			);
		} else {
			if (choice.hormone)
				add(
					'Hormone',
					`Tip out what you need, never dip into the jar. Wet the base, dip it, tap off the rest. ${profile.hormone}.`
				);
			const place = {
				rim: 'at the rim of the pot, for the edge dries last',
				tray: 'in rows in the tray',
				alone: 'each in its own pot',
				jar: 'in a jar',
				row: 'in a row outdoors or a deep pot',
				place: 'where it is to grow'
			}[cut.set];
			add(
				'Set',
				`Make the hole first${choice.hormone ? ' so that the powder is not wiped off' : ''}. ${length(underOf(cut))} deep, never on the floor of the pot, ${place}, ${length(cut.spread_cm)} apart so that leaves do not touch. Firm. In: ${profile.medium}.`
			);
			add(
				choice.cover ? 'Cover' : 'Leave open',
				choice.cover
					? `${profile.cover.charAt(0).toUpperCase()}${profile.cover.slice(1)}. Bright, no direct sun. ${DROPS[coverOf(profile.cover)]}`
					: 'Uncovered: bright, no direct sun; water when the top 2–3 cm are dry.'
			);
		}
	}
	clocks('after');
	add('Label', `Name, date, way and number, before the next kind is touched. Count the ${many}.`);
	add('Then', `${way.signs} ${profile.then}`);
	return steps;
}

/** The side that Surculus starts with: the way's figures, and what the kind's text says. */
export function usualChoice(
	way: Pick<Way, 'cut' | 'id'>,
	profile: Pick<WayProfile, 'hormone' | 'cover' | 'medium'>,
	cut: Cut
): GuideChoice {
	const none = (s: string) => /^none\b/i.test(s.trim()) || s.trim() === '';
	return {
		slant: cut.base === 'slant',
		wound: (cut.wound ?? false) || /wound/i.test(profile.hormone),
		hormone: !none(profile.hormone),
		cover: coverOf(profile.cover) !== 'none',
		inWater: way.id === 'water' || /^water$/i.test(profile.medium.trim())
	};
}
