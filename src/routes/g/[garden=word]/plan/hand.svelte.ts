/** The plan as a person changes it: asked of the server as it is dragged and once it is dropped, nothing is written. */
import { sayDate } from '$lib/core/dates.js';
import { sayMore } from '$lib/core/joint/words.js';
import { sayOddsAsked } from '$lib/core/odds/words.js';
import type { Standing } from '$lib/core/odds/words.js';
import type { PlanView } from '$lib/server/jointView.js';
import { keyOf } from './says.js';
import type { Choice } from './says.js';

interface Asked {
	want: string;
	way: string;
	stock: string;
	on: string;
	pieces: number;
	pinned: boolean;
}

/** What a batch under the finger would come to on the day where it is held. */
export interface Felt {
	want: string;
	on: string;
	/** Odds of its want, or why it can't be. */
	says: string;
	standing: Standing | null;
	/** What would be asked too much of. */
	clashes: readonly string[];
}

/** So many more is what a person would think of. */
const TEN = 10;

const asAsked = (of: PlanView): Asked[] =>
	of.wants.flatMap((w) =>
		w.batches.map((b) => ({ want: w.id, way: b.wayId, stock: b.stockId, on: b.on, pieces: b.pieces, pinned: b.pinned }))
	);

type Told = PlanView | { error: { sentence: string } } | { message: string };
const sorry = (told: Told): string | null => ('error' in told ? told.error.sentence : 'message' in told ? told.message : null);

export class Hand {
	/** The plan as it was changed; null while it is as it was made. */
	plan = $state<PlanView | null>(null);
	busy = $state(false);
	refused = $state('');
	felt = $state<Felt | null>(null);
	/** The day under the finger, while another is being asked about. */
	#next: { want: string; key: string; on: string } | null = null;
	#feeling = false;

	constructor(
		private readonly base: () => string,
		private readonly choice: () => Choice,
		private readonly made: () => PlanView
	) {}

	get now(): PlanView {
		return this.plan ?? this.made();
	}

	#bought = () => this.now.wants.flatMap((w) => (w.buys > 0 ? [{ want: w.id, count: w.buys }] : []));

	async #told(batches: readonly Asked[], resolve: boolean): Promise<Told> {
		const response = await fetch(`${this.base()}/plan/try.json`, {
			method: 'POST',
			headers: { 'content-type': 'application/json' },
			// What is bought stays as it is; found anew around what is held it is found with the rest.
			body: JSON.stringify({ ...this.choice(), batches, buys: this.#bought(), resolve })
		});
		return (await response.json()) as Told;
	}

	async ask(batches: readonly Asked[], resolve: boolean): Promise<void> {
		this.busy = true;
		this.refused = '';
		try {
			const told = await this.#told(batches, resolve);
			this.refused = sorry(told) ?? '';
			if ('wants' in told) {
				const pins = batches.filter((b) => b.pinned).map((b) => `${b.want} ${b.on} ${b.way} ${b.stock}`);
				this.plan = {
					...told,
					wants: told.wants.map((w) => ({
						...w,
						batches: w.batches.map((b) => ({ ...b, pinned: pins.includes(`${w.id} ${b.on} ${b.wayId} ${b.stockId}`) }))
					}))
				};
			}
		} catch {
			this.refused = 'The app does not answer. The plan is as it was: try again in a moment.';
		}
		this.busy = false;
	}

	/** Everything else found anew around what was held by hand. */
	around = () => this.ask(asAsked(this.now), true);
	back() {
		this.plan = null;
		this.refused = '';
	}

	#changed(want: string, key: string, to: { on: string; pieces?: number } | null): Asked[] {
		return asAsked(this.now).flatMap((b): Asked[] => {
			if (b.want !== want || keyOf({ on: b.on, wayId: b.way, stockId: b.stock }) !== key) return [b];
			return to ? [{ ...b, ...to, pinned: true }] : [];
		});
	}
	change = (want: string, key: string, to: { on: string; pieces?: number } | null) =>
		this.ask(this.#changed(want, key, to), false);

	/** What ten pieces more of a batch are worth, or why there are none; '' where nothing answers. */
	async more(want: string, key: string): Promise<string> {
		const before = this.now.wants.find((w) => w.id === want);
		const batch = before?.batches.find((b) => keyOf(b) === key);
		if (!before || !batch) return '';
		try {
			const told = await this.#told(this.#changed(want, key, { on: batch.on, pieces: batch.pieces + TEN }), false);
			const then = 'wants' in told ? told.wants.find((w) => w.id === want) : undefined;
			return then ? sayMore(TEN, before.odds, then.odds) : (sorry(told) ?? '');
		} catch {
			return '';
		}
	}

	/** The odds on the day under the finger: of the days that it passes, those that there is time to ask about. */
	async feel(want: string, key: string, on: string): Promise<void> {
		this.#next = { want, key, on };
		if (this.#feeling) return;
		this.#feeling = true;
		while (this.#next !== null) {
			const at: { want: string; key: string; on: string } = this.#next;
			this.#next = null;
			try {
				const told = await this.#told(this.#changed(at.want, at.key, { on: at.on }), false);
				const w = 'wants' in told ? told.wants.find((x) => x.id === at.want) : undefined;
				this.felt = {
					...{ want: at.want, on: sayDate(at.on), standing: w?.standing ?? null },
					says: w ? sayOddsAsked(w.odds, w.confidence) : (sorry(told) ?? ''),
					clashes: 'wants' in told ? told.clashes : []
				};
			} catch {
				// What is said of it once it is dropped will do.
				this.felt = null;
			}
		}
		this.#feeling = false;
	}
	/** It was let go. */
	letGo() {
		this.#next = null;
		this.felt = null;
	}
}
