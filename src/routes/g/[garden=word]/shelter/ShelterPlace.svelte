<script lang="ts">
	/** One shelter: how cold it gets, what that rests on, its room, and what stands in it. */
	import { capital, sayThat } from '$lib/core/odds/words.js';
	import { sayArea, sayTemperature } from '$lib/core/units/index.js';
	import type { UnitChoice } from '$lib/core/units/index.js';
	import { BODY_WORDS } from '$lib/ui/say.js';
	import { LIGHT_NEEDS } from '$lib/core/shelter/index.js';
	import ColdScale from './ColdScale.svelte';
	import Guard from './Guard.svelte';
	import Lodgers from './Lodgers.svelte';
	import Section from './Section.svelte';
	import type { Put, Standing } from './arrangement.js';
	import type { PageData } from './$types';

	const MONTHS = [
		'January',
		'February',
		'March',
		'April',
		'May',
		'June',
		'July',
		'August',
		'September',
		'October',
		'November',
		'December'
	];
	interface Props {
		shelter: PageData['view']['shelters'][number];
		/** Those that stand here in the arrangement that is shown. */
		here: readonly Standing[];
		usedCm2: number;
		places: ReadonlyMap<string, string>;
		today: string;
		/** The strip above shows how cold it is in there. */
		chosen: boolean;
		onput: (id: string, put: Put) => void;
		base: string;
		units: UnitChoice;
		outsideC: number;
	}
	let { shelter: s, here, usedCm2, places, today, chosen, onput, base, units, outsideC }: Props = $props();
	const t = (c: number) => sayTemperature(c, units);
	const lightSaid = ({ month, mol }: NonNullable<typeof s.darkest>) =>
		`${
			mol >= LIGHT_NEEDS.grows
				? `Even in ${MONTHS[month]} there is light enough to grow`
				: mol >= LIGHT_NEEDS.stands
					? `In ${MONTHS[month]} there is light enough to stand still, not to grow`
					: `In ${MONTHS[month]} there is too little light for what is in leaf`
		} (about ${mol < 1 ? 'half a' : Math.round(mol)} mol on a square metre a day).`;
	const M2 = 10_000;
	const free = $derived(s.roomCm2 === null ? null : s.roomCm2 - usedCm2);
	const nights = $derived(
		s.learnt.coldNights === 0
			? 'none of them with frost outside'
			: s.learnt.coldNights === 1
				? 'one of them with frost outside'
				: `${s.learnt.coldNights} of them with frost outside`
	);
	const days = $derived(s.learnt.days === 1 ? 'one day' : `${s.learnt.days} days`);
	const word = $derived(s.saidLowC === null ? '' : `, with your word that it falls to ${t(s.saidLowC)}`);
	const rests = $derived(
		s.learnt.days > 0
			? `Learnt from ${days} of its thermometer, ${nights}${word}`
			: `Worked out as one usually is${word}; no thermometer has been read there yet`
	);
</script>

<section class="mt-8" aria-labelledby="at-{s.id}">
	<h2 id="at-{s.id}" class="border-b border-ink pb-1">{s.name}</h2>
	<div class="mt-2 grid gap-x-10 gap-y-3 md:grid-cols-[1fr_1.2fr]">
		<div>
			<p class="text-lg">
				It falls to <strong>{t(s.coldest[0])}</strong> in a usual winter, to {t(s.coldest[1])} in one of five, to {t(
					s.coldest[2]
				)} in one of twenty.
			</p>
			<p class="mt-1">{capital(sayThat(s.freezes, 'it freezes in there for six hours or more'))}.</p>
			{#if s.darkest}<p class="mt-1">{lightSaid(s.darkest)}</p>{/if}
			{#if s.light === 'dark' && s.coldest[0] < 10}<p class="mt-1">
					{s.wakes < 3
						? 'What rests there hardly ever wakes before its time.'
						: `On about ${Math.round(s.wakes)} of the ninety coldest days it is warm enough in there for what rests to wake: keep it dry.`}
				</p>{/if}
			{#if s.ahead}
				<p class="mt-1">
					{s.ahead.nights === 1 ? 'In the next night' : `In the next ${s.ahead.nights} nights`} it falls to about
					<strong>{t(s.ahead.coldestC)}</strong>{#if s.ahead.tenderest && s.ahead.tenderest.chance >= 0.01}; {sayThat(
							s.ahead.tenderest.chance,
							`it comes down to the ${t(s.ahead.tenderest.bearsC)} that ${s.ahead.tenderest.name} bears`
						)}{/if}.
				</p>
			{/if}
			<ColdScale coldest={s.coldest} {outsideC} limits={s.lodgers.map((l) => l.bearsC)} {units} />
			<p class="note mt-1 max-w-prose">
				{#if s.levelOf}A level of {s.levelOf}, and as warm as that.{/if}
				{capital(BODY_WORDS[s.what])}. {rests}.
				{#if s.learnt.odd > 0}{s.learnt.odd === 1 ? 'One reading was' : `${s.learnt.odd} readings were`} left out: no such place is
					ever so warm or so cold. Is the probe broken, in the sun, or set to °F?{/if}
			</p>
			{#if !s.levelOf}<Guard shelter={s} {units} {today} />{/if}
			{#if !chosen}<p class="no-print">
					<a
						class="inline-flex min-h-11 items-center text-leaf underline underline-offset-4"
						href="?at={s.id}"
						data-sveltekit-noscroll>Show its nights on the season strip</a
					>
				</p>{/if}
			{#if free !== null}
				<p class="mt-2">
					{#if free < 0}<strong class="text-madder">Overfull by {sayArea(-free / M2, units)}.</strong>
					{:else}{sayArea(free / M2, units)} free of {sayArea(s.roomCm2! / M2, units)}.{/if}
				</p>
			{/if}
		</div>
		<div class="min-w-0">
			<Section
				name={s.name}
				{here}
				roomCm2={s.roomCm2}
				{usedCm2}
				depthCm={s.depthCm}
				{units}
				onput={(id, count) => onput(id, { placeId: s.id, keeps: count })}
			/>
			{#if here.length}
				<Lodgers all={here} {places} {base} {units} {onput} />
			{:else}
				<p class="text-faded">Nothing stands here.</p>
			{/if}
		</div>
	</div>
</section>
