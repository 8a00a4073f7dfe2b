<script lang="ts">
	/** One shelter: how cold it gets, what that rests on, its room, and what stands in it. */
	import TextAct from '$lib/ui/TextAct.svelte';
	import { texts } from '$lib/messages/shelter.js';
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
		texts.january,
		texts.february,
		texts.march,
		texts.april,
		texts.may,
		texts.june,
		texts.july,
		texts.august,
		texts.september,
		texts.october,
		texts.november,
		texts.december
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
		texts.aboutMolOnA(
			mol >= LIGHT_NEEDS.grows
				? texts.evenInThereIs(MONTHS[month]!)
				: mol >= LIGHT_NEEDS.stands
					? texts.inThereIsLight(MONTHS[month]!)
					: texts.inThereIsToo(MONTHS[month]!),
			mol < 1 ? texts.halfA : Math.round(mol)
		);
	const M2 = 10_000;
	const free = $derived(s.roomCm2 === null ? null : s.roomCm2 - usedCm2);
	const nights = $derived(
		s.learnt.coldNights === 0
			? texts.noneOfThemWith
			: s.learnt.coldNights === 1
				? texts.oneOfThemWith
				: texts.ofThemWithFrost(s.learnt.coldNights)
	);
	const days = $derived(s.learnt.days === 1 ? texts.oneDay : texts.days(s.learnt.days));
	const word = $derived(s.saidLowC === null ? '' : texts.withYourWordThat(t(s.saidLowC)));
	const rests = $derived(s.learnt.days > 0 ? texts.learntFromOfIts(days, nights, word) : texts.workedOutAsOne(word));
</script>

<section class="mt-8" aria-labelledby="at-{s.id}">
	<h2 id="at-{s.id}" class="border-b border-ink pb-1">{s.name}</h2>
	<div class="mt-2 grid gap-x-10 gap-y-3 md:grid-cols-[1fr_1.2fr]">
		<div>
			<p class="text-lg">
				{texts.itFallsTo} <strong>{t(s.coldest[0])}</strong>
				{texts.inAUsualWinter(t(s.coldest[1]), t(s.coldest[2]))}
			</p>
			<p class="mt-1">{capital(sayThat(s.freezes, texts.itFreezesInThere))}.</p>
			{#if s.darkest}<p class="mt-1">{lightSaid(s.darkest)}</p>{/if}
			{#if s.light === 'dark' && s.coldest[0] < 10}<p class="mt-1">
					{s.wakes < 3 ? texts.whatRestsThereHardly : texts.onAboutOfThe(Math.round(s.wakes))}
				</p>{/if}
			{#if s.ahead}
				<p class="mt-1">
					{texts.itFallsToAbout(s.ahead.nights === 1 ? texts.inTheNextNight : texts.inTheNextNights(s.ahead.nights))}
					<strong>{t(s.ahead.coldestC)}</strong>{#if s.ahead.tenderest && s.ahead.tenderest.chance >= 0.01}; {sayThat(
							s.ahead.tenderest.chance,
							texts.itComesDownTo(t(s.ahead.tenderest.bearsC), s.ahead.tenderest.name)
						)}{/if}.
				</p>
			{/if}
			<ColdScale coldest={s.coldest} {outsideC} limits={s.lodgers.map((l) => l.bearsC)} {units} />
			<p class="note mt-1 max-w-prose">
				{#if s.levelOf}{texts.aLevelOfAnd(s.levelOf)}{/if}
				{capital(BODY_WORDS[s.what])}. {rests}.
				{#if s.learnt.odd > 0}{texts.leftOutNoSuch(
						s.learnt.odd === 1 ? texts.oneReadingWas : texts.readingsWere(s.learnt.odd)
					)}{/if}
			</p>
			{#if !s.levelOf}<Guard shelter={s} {units} {today} />{/if}
			{#if !chosen}<p class="no-print">
					<TextAct href="?at={s.id}" data-sveltekit-noscroll>{texts.showItsNightsOn}</TextAct>
				</p>{/if}
			{#if free !== null}
				<p class="mt-2">
					{#if free < 0}<strong class="text-madder">{texts.overfullBy(sayArea(-free / M2, units))}</strong>
					{:else}{texts.freeOf(sayArea(free / M2, units), sayArea(s.roomCm2! / M2, units))}{/if}
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
				<p class="text-faded">{texts.nothingStandsHere}</p>
			{/if}
		</div>
	</div>
</section>
