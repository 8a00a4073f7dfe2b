/**
 * A garden's settings while they are typed, and what is guessed of the rest. Every climate figure starts as a guess
 * from the position and says so; what the person gives stays.
 */
import { untrack } from 'svelte';
import { dayInYear, isoOf } from '$lib/core/dates.js';
import { readNumber } from '$lib/core/numbers.js';
import { guessClimate } from '$lib/core/season/climate.js';
import type { ClimateGuess, SeaNear } from '$lib/core/season/climate.js';
import type { Town } from '$lib/formats/town.js';
import { bandOf, longMeasure, warmthMeasure } from '$lib/core/units/index.js';

export interface GardenStart {
	name: string;
	place: string;
	latitude: number | null;
	longitude: number | null;
	height_m: number;
	units: 'metric' | 'us';
	temperature: 'C' | 'F';
	currency: string;
	coldest_c: number | null;
	last_frost: { doy: number; sd: number } | null;
	first_frost: { doy: number; sd: number } | null;
	minutes_per_week: number;
	away: { from: string; to: string }[];
	guessed: string[];
}

const USUAL_SPREAD_DAYS = 12;
const num = (text: string): number => readNumber(text) ?? Number.NaN;

export class GardenTyped {
	place = $state('');
	latitude = $state('');
	longitude = $state('');
	height = $state('');
	units = $state<string>('metric');
	temperature = $state<string>('C');
	currency = $state('EUR');
	coldest = $state('');
	zone = $state('');
	noFrost = $state(false);
	last = $state('');
	first = $state('');
	lastSd = $state('');
	firstSd = $state('');
	guessed = $state<string[]>([]);
	/** How the guess was made; empty while there is none. */
	because = $state('');

	warmth = $derived(warmthMeasure({ temperature: this.temperature === 'F' ? 'F' : 'C' }));
	long = $derived(longMeasure({ length: this.units === 'us' ? 'us' : 'metric' }));
	/** °C; NaN while it is not known. */
	coldestC = $derived.by(() => {
		const band = this.zone ? bandOf(this.zone) : null;
		return band ? (band.lowC + band.highC) / 2 : (this.warmth.read(this.coldest) ?? Number.NaN);
	});

	/** What was asked of the sea last: an answer that comes late is not taken. */
	#turn = 0;
	readonly #seas: Record<string, Promise<SeaNear | null>> = {};
	readonly #year: number;
	/** Units chosen by hand stay when a town is chosen. */
	#unitsChosen: boolean;

	constructor(s: GardenStart, year: number) {
		this.#year = year;
		this.#unitsChosen = s.latitude !== null;
		this.units = s.units;
		this.temperature = s.temperature;
		this.currency = s.currency;
		this.place = s.place;
		this.latitude = s.latitude === null ? '' : String(s.latitude);
		this.longitude = s.longitude === null ? '' : String(s.longitude);
		this.height = s.latitude === null ? '' : String(this.long.shown(s.height_m, 0));
		this.coldest = s.coldest_c === null ? '' : String(this.warmth.shown(s.coldest_c, 0));
		this.noFrost = s.latitude !== null && s.last_frost === null;
		this.last = s.last_frost ? this.#dateOf(s.last_frost.doy) : '';
		this.first = s.first_frost ? this.#dateOf(s.first_frost.doy) : '';
		this.lastSd = String(s.last_frost?.sd ?? USUAL_SPREAD_DAYS);
		this.firstSd = String(s.first_frost?.sd ?? USUAL_SPREAD_DAYS);
		this.guessed = [...s.guessed];
		this.#followUnits();
	}

	#dateOf(doy: number): string {
		return isoOf(dayInYear(this.#year, doy));
	}

	/**
	 * The figures follow the units whenever these differ from what they were last shown in: also when the choice was made
	 * before the page came alive, when no event tells of it.
	 */
	#followUnits(): void {
		let { warmth, long } = this;
		$effect(() => {
			const [nowWarmth, nowLong] = [this.warmth, this.long];
			untrack(() => {
				const c = warmth.read(this.coldest);
				if (nowWarmth.unit !== warmth.unit && Number.isFinite(c)) this.coldest = String(nowWarmth.shown(c!, 0));
				const m = long.read(this.height);
				if (nowLong.unit !== long.unit && Number.isFinite(m)) this.height = String(nowLong.shown(m!, 0));
				warmth = nowWarmth;
				long = nowLong;
			});
		});
	}

	isGuess = (field: 'coldest' | 'frost'): boolean => this.guessed.includes(field);
	/** The person gave it. */
	know(field: 'coldest' | 'frost'): void {
		this.guessed = this.guessed.filter((g) => g !== field);
	}
	unitsByHand(): void {
		this.#unitsChosen = true;
	}

	/** A town was chosen, or the device said where it is. */
	take(t: Town, at: { latitude: number; longitude: number } = t): void {
		this.place = t.name;
		this.latitude = String(at.latitude);
		this.longitude = String(at.longitude);
		if (!this.#unitsChosen) {
			this.units = t.us ? 'us' : 'metric';
			this.temperature = t.us ? 'F' : 'C';
			if (t.currency) this.currency = t.currency;
		}
		this.height = String(this.long.shown(t.heightM, 0));
		void this.guess(true);
	}

	/** Guesses all that the person has not given. */
	async guess(all = false): Promise<void> {
		const turn = ++this.#turn;
		const [latitude, longitude] = [num(this.latitude), num(this.longitude)];
		if (!(Math.abs(latitude) <= 90 && Math.abs(longitude) <= 180)) return;
		const given = this.zone !== '' || (!all && this.coldest !== '' && !this.isGuess('coldest'));
		const own = given && Number.isFinite(this.coldestC) ? this.coldestC : undefined;
		const from = { latitude, longitude, heightM: this.long.read(this.height) || 0, coldestC: own };
		this.#show(guessClimate(from), own, all);
		const sea = await this.#seaAt(latitude, longitude);
		// What was typed meanwhile has asked again.
		if (sea && turn === this.#turn) this.#show(guessClimate({ ...from, sea }), own, false);
	}

	/** The sea near a position, asked once for each; without an answer the guess goes by latitude and height. */
	#seaAt(lat: number, lon: number): Promise<SeaNear | null> {
		const key = `lat=${lat.toFixed(2)}&lon=${lon.toFixed(2)}`;
		return (this.#seas[key] ??= fetch(`/api/sea?${key}`)
			.then(async (r) => (r.ok ? ((await r.json()) as { sea: SeaNear | null }).sea : null))
			.catch(() => null));
	}

	#show({ climate, because }: ClimateGuess, own: number | undefined, all: boolean): void {
		this.because = because;
		if (own === undefined && (all || this.isGuess('coldest') || this.coldest === '')) {
			this.coldest = String(this.warmth.shown(climate.coldestC, 0));
			if (!this.isGuess('coldest')) this.guessed = [...this.guessed, 'coldest'];
		}
		if (all || this.isGuess('frost') || (!this.last && !this.noFrost)) {
			this.noFrost = climate.lastFrost === null;
			if (climate.lastFrost) this.last = this.#dateOf(climate.lastFrost.doy);
			if (climate.firstFrost) this.first = this.#dateOf(climate.firstFrost.doy);
			this.lastSd = String(climate.lastFrost?.sd ?? USUAL_SPREAD_DAYS);
			this.firstSd = String(climate.firstFrost?.sd ?? USUAL_SPREAD_DAYS);
			if (!this.isGuess('frost')) this.guessed = [...this.guessed, 'frost'];
		}
	}
}
