<script lang="ts">
	import { Checkbox } from 'flowbite-svelte';
	import Act from '$lib/ui/Act.svelte';
	/** Settings of a garden. Every climate figure starts as a guess from the position and says so. */
	import { dayInYear, isoOf } from '$lib/core/dates.js';
	import { guessClimate } from '$lib/core/season/climate.js';
	import type { ClimateGuess, SeaNear } from '$lib/core/season/climate.js';
	import { bandOf, toFahrenheit, toCelsius, zoneOf } from '$lib/core/units/index.js';
	import { onMount, untrack } from 'svelte';
	import Field from './Field.svelte';
	import SelectField from './SelectField.svelte';
	import Stepper from './Stepper.svelte';

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
	interface Props {
		start: GardenStart;
		year: number;
		/** The first run shows only what a plan needs; the rest has its own screen. */
		brief?: boolean;
	}
	let { start, year, brief = false }: Props = $props();
	const s = (() => start)();

	let units = $state<string>(s.units);
	let temperature = $state<string>(s.temperature);
	let name = $state(s.name);
	let place = $state(s.place);
	let latitude = $state(s.latitude === null ? '' : String(s.latitude));
	let longitude = $state(s.longitude === null ? '' : String(s.longitude));
	let height = $state(String(Math.round(s.units === 'us' ? s.height_m / 0.3048 : s.height_m)));
	let coldest = $state(
		s.coldest_c === null ? '' : String(Math.round(s.temperature === 'F' ? toFahrenheit(s.coldest_c) : s.coldest_c))
	);
	let zone = $state('');
	let noFrost = $state(s.latitude !== null && s.last_frost === null);
	const dateOf = (doy: number) => isoOf(dayInYear(year, doy));
	let last = $state(s.last_frost ? dateOf(s.last_frost.doy) : '');
	let first = $state(s.first_frost ? dateOf(s.first_frost.doy) : '');
	let lastSd = $state(String(s.last_frost?.sd ?? 12));
	let firstSd = $state(String(s.first_frost?.sd ?? 12));
	let minutes = $state(s.minutes_per_week);
	let away = $state(s.away.map((a) => ({ ...a })));
	let guessed = $state<string[]>([...s.guessed]);
	let because = $state('');
	let towns = $state<{ name: string; latitude: number; longitude: number }[]>([]);
	const known = (field: string) => (guessed = guessed.filter((g) => g !== field));
	const num = (text: string) => (text.trim() === '' ? Number.NaN : Number(text.replace(',', '.').replace('−', '-')));

	/** The sea near a position, asked once for each; without an answer the guess goes by latitude and height. */
	const seas: Record<string, Promise<SeaNear | null>> = {};
	function seaAt(lat: number, lon: number): Promise<SeaNear | null> {
		const key = `lat=${lat.toFixed(2)}&lon=${lon.toFixed(2)}`;
		let sea = seas[key];
		if (!sea) {
			sea = fetch(`/api/sea?${key}`)
				.then(async (r) => (r.ok ? ((await r.json()) as { sea: SeaNear | null }).sea : null))
				.catch(() => null);
			seas[key] = sea;
		}
		return sea;
	}
	let asked = 0;

	/** Guesses all that the person has not given. */
	async function guess(all = false) {
		const turn = ++asked;
		const lat = num(latitude);
		const lon = num(longitude);
		if (!(Math.abs(lat) <= 90 && Math.abs(lon) <= 180)) return;
		const h = (num(height) || 0) * (units === 'us' ? 0.3048 : 1);
		const band = zone ? bandOf(zone) : null;
		const typed = num(coldest);
		const own = band
			? (band.lowC + band.highC) / 2
			: Number.isFinite(typed) && !guessed.includes('coldest') && !all
				? temperature === 'F'
					? toCelsius(typed)
					: typed
				: undefined;
		const from = { latitude: lat, longitude: lon, heightM: h, coldestC: own };
		show(guessClimate(from), own, all);
		const sea = await seaAt(lat, lon);
		// What was typed meanwhile has asked again.
		if (sea && turn === asked) show(guessClimate({ ...from, sea }), own, false);
	}

	function show(g: ClimateGuess, own: number | undefined, all: boolean) {
		because = g.because;
		if (own === undefined && (all || guessed.includes('coldest') || coldest === '')) {
			coldest = String(Math.round(temperature === 'F' ? toFahrenheit(g.climate.coldestC) : g.climate.coldestC));
			if (!guessed.includes('coldest')) guessed = [...guessed, 'coldest'];
		}
		if (all || guessed.includes('frost') || !last) {
			noFrost = g.climate.lastFrost === null;
			if (g.climate.lastFrost) last = dateOf(g.climate.lastFrost.doy);
			if (g.climate.firstFrost) first = dateOf(g.climate.firstFrost.doy);
			lastSd = String(g.climate.lastFrost?.sd ?? 12);
			firstSd = String(g.climate.firstFrost?.sd ?? 12);
			if (!guessed.includes('frost')) guessed = [...guessed, 'frost'];
		}
	}
	// A town typed before the page came alive is looked up then.
	onMount(() => {
		if (place && latitude === '') findTown();
	});
	let timer: ReturnType<typeof setTimeout> | undefined;
	function findTown() {
		clearTimeout(timer);
		timer = setTimeout(async () => {
			const answer = await fetch(`/api/towns?q=${encodeURIComponent(place)}`).catch(() => null);
			towns = answer?.ok ? ((await answer.json()) as { towns: typeof towns }).towns : [];
		}, 200);
	}
	function take(t: (typeof towns)[number]) {
		place = t.name;
		latitude = String(t.latitude);
		longitude = String(t.longitude);
		towns = [];
		void guess(true);
	}
	// The figures follow the units whenever these differ from what they were last shown in: also when the
	// choice was made before the page came alive, when no event tells of it.
	let temperatureShown = s.temperature as string;
	let unitsShown = s.units as string;
	$effect(() => {
		if (temperature === temperatureShown) return;
		temperatureShown = temperature;
		untrack(() => {
			const n = num(coldest);
			if (Number.isFinite(n)) coldest = String(Math.round(temperature === 'F' ? toFahrenheit(n) : toCelsius(n)));
		});
	});
	$effect(() => {
		if (units === unitsShown) return;
		unitsShown = units;
		untrack(() => {
			const n = num(height);
			if (Number.isFinite(n)) height = String(Math.round(units === 'us' ? n / 0.3048 : n * 0.3048));
		});
	});
	const coldestC = $derived(temperature === 'F' ? toCelsius(num(coldest)) : num(coldest));
	const guessWord = (field: string) => (guessed.includes(field) ? 'A guess: change it to what you know. ' : '');
	const CURRENCIES = [
		'EUR',
		'GBP',
		'USD',
		'CAD',
		'AUD',
		'NZD',
		'CHF',
		'SEK',
		'NOK',
		'DKK',
		'PLN',
		'CZK',
		'ZAR',
		'JPY',
		'INR',
		'BRL'
	];
</script>

<Field label="Name of the garden" name="name" bind:value={name} maxlength={80} />
<div oninput={findTown}>
	<Field
		label="Nearest town"
		name="place"
		bind:value={place}
		maxlength={120}
		hint="Type the beginning and choose, or give the position below."
	/>
	{#if towns.length}
		<ul class="border border-t-0 border-ink bg-field" aria-label="Towns">
			{#each towns as t (t.name + t.latitude)}<li>
					<button
						type="button"
						class="min-h-11 w-full border-b border-rule px-3 text-left hover:bg-primary-50"
						onclick={() => take(t)}>{t.name}</button
					>
				</li>{/each}
		</ul>
	{/if}
</div>
<div class="grid gap-4 sm:grid-cols-3" onchange={() => void guess()}>
	<Field label="Latitude" name="latitude" bind:value={latitude} unit="°" numeric hint="South is negative." />
	<Field label="Longitude" name="longitude" bind:value={longitude} unit="°" numeric hint="West is negative." />
	<Field label="Height" name="height" bind:value={height} unit={units === 'us' ? 'ft' : 'm'} numeric />
</div>
<div class="grid gap-4 sm:grid-cols-3">
	<div>
		<SelectField
			label="Lengths"
			name="units"
			bind:value={units}
			items={[
				{ value: 'metric', name: 'metric (cm, m, L)' },
				{ value: 'us', name: 'US (in, ft, qt)' }
			]}
		/>
	</div>
	<div>
		<SelectField
			label="Temperature"
			name="temperature"
			bind:value={temperature}
			items={[
				{ value: 'C', name: '°C' },
				{ value: 'F', name: '°F' }
			]}
		/>
	</div>
	<SelectField label="Currency" name="currency" value={s.currency} items={CURRENCIES.map((c) => ({ value: c, name: c }))} />
</div>
<fieldset class="border-t border-ink pt-3">
	<legend class="float-left mb-2 w-full font-head text-xl font-semibold">Its winter</legend>
	<div class="clear-both grid gap-4 sm:grid-cols-2">
		<div oninput={() => known('coldest')} onchange={() => void guess()}>
			<Field
				label="Coldest night of an average winter"
				name="coldest"
				bind:value={coldest}
				unit="°{temperature}"
				numeric
				hint="{guessWord('coldest')}{Number.isFinite(coldestC) ? `Hardiness zone ${zoneOf(coldestC).zone}.` : ''}"
			/>
		</div>
		<div
			onchange={() => {
				known('coldest');
				void guess();
			}}
		>
			<Field label="Or the hardiness zone" name="zone" bind:value={zone} hint="Like 7 or 7b; overrules the temperature." />
		</div>
	</div>
	<div class="mt-4">
		<Checkbox name="no_frost" bind:checked={noFrost} onchange={() => known('frost')}>Frost never comes</Checkbox>
	</div>
	{#if !noFrost}
		<div class="mt-3 grid gap-4 sm:grid-cols-2" oninput={() => known('frost')}>
			<Field
				label="Average last frost"
				name="last_frost"
				type="date"
				bind:value={last}
				hint="{guessWord('frost')}The year does not matter."
			/>
			<Field
				label="give or take"
				name="last_frost_sd"
				bind:value={lastSd}
				unit="days"
				numeric
				hint="Two years in three fall within this."
			/>
			<Field label="Average first frost" name="first_frost" type="date" bind:value={first} hint={guessWord('frost')} />
			<Field label="give or take" name="first_frost_sd" bind:value={firstSd} unit="days" numeric />
		</div>
	{/if}
	{#if because}<p class="note mt-2" role="status">{because}</p>{/if}
</fieldset>
<fieldset class="border-t border-ink pt-3">
	<legend class="float-left mb-2 w-full font-head text-xl font-semibold">Your time</legend>
	<div class="clear-both">
		<Stepper label="Minutes a week you can give" name="minutes" bind:value={minutes} step={15} max={10000} />
	</div>
	{#if !brief}
		<p class="mt-4 font-semibold">Weeks away</p>
		{#each away as a, i (i)}
			<div class="mt-2 grid items-end gap-3 sm:grid-cols-[1fr_1fr_auto]">
				<Field label="From" name="away_from" type="date" bind:value={a.from} />
				<Field label="to" name="away_to" type="date" bind:value={a.to} />
				<Act type="button" onclick={() => (away = away.filter((_, j) => j !== i))}>Remove</Act>
			</div>
		{/each}
		<Act type="button" class="mt-3" onclick={() => (away = [...away, { from: '', to: '' }])}>Add days away</Act>
	{/if}
</fieldset>
{#each guessed as g (g)}<input type="hidden" name="guessed" value={g} />{/each}
