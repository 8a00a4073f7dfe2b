<script lang="ts">
	/** How many fill this bed, and where does each go? */
	import { texts } from '$lib/messages/ground.js';
	import { goto } from '$app/navigation';
	import Checkbox from 'flowbite-svelte/Checkbox.svelte';
	import Range from 'flowbite-svelte/Range.svelte';
	import TableBodyCell from 'flowbite-svelte/TableBodyCell.svelte';
	import Act from '$lib/ui/Act.svelte';
	import BedDrawing from '$lib/ui/BedDrawing.svelte';
	import ChoiceField from '$lib/ui/ChoiceField.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Fold from '$lib/ui/Fold.svelte';
	import Note from '$lib/ui/Note.svelte';
	import Rows from '$lib/ui/Rows.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import Trail from '$lib/ui/Trail.svelte';
	import { sayCover, sayFits, sayGaps, sayInHand, sayKeptBy, sayThen, sayWhen } from '$lib/core/ground/words.js';
	import { sayKilos } from '$lib/core/ground/movesWords.js';
	import { sayMoney } from '$lib/core/numbers.js';
	import { longMeasure, sayArea, sayLength, shortMeasure } from '$lib/core/units/index.js';
	import Measure from './Measure.svelte';
	import Setting from './Setting.svelte';
	import { steady } from '$lib/ui/steady.js';
	import type { PageData } from './$types';

	type Filling = NonNullable<PageData['filled']>['choices'][number];
	let { data }: { data: PageData } = $props();
	const base = $derived(`/g/${data.garden.slug}`);
	const units = $derived(data.garden.units);
	const bed = $derived(data.bed);
	const f = $derived(data.filled);
	const short = $derived(shortMeasure(units));

	const given = $derived.by(
		steady(() => ({
			bed: data.bed.id,
			...data.asked,
			kind: data.filled?.kind.id ?? data.asked.kind,
			pattern: data.filled?.pattern ?? 'triangular'
		}))
	);
	let kind = $derived(given.kind);
	let spacing = $derived(given.spacing);
	let margin = $derived(given.margin);
	let pattern = $derived<string>(given.pattern);
	let turn = $derived(given.turn === 'on');
	let gaps = $derived(given.gaps);
	let beside = $derived(given.beside);
	let share = $derived(given.share);
	/** What is asked, as an address has it. */
	const address = (over: Record<string, string> = {}) => {
		const day = data.isToday ? '' : data.viewed;
		const asked = {
			kind,
			spacing,
			margin,
			pattern,
			gaps,
			beside,
			share: beside ? share : '',
			...(turn ? { turn: 'on' } : {}),
			day,
			...over
		};
		return `?${new URLSearchParams(Object.entries(asked).filter(([, v]) => v !== '')).toString()}`;
	};
	const ask = () => goto(address(), { keepFocus: true, noScroll: true, replaceState: true });

	/** The stock whose places are being told. */
	let setting = $state<string | null>(null);
	const placed = $derived(bed.stands.some((s) => s.at.length > 0));
	const unset = $derived(bed.stands.reduce((n, s) => n + (s.coming ? 0 : s.count - s.at.length), 0));
	/** The summer that is drawn: at first the one in which they touch. */
	const touching = $derived.by(steady(() => data.filled?.asked.touch ?? 3));
	let summer = $derived(Math.min(10, Math.max(1, Math.ceil(touching))));
	const acrossM = $derived((f?.spreads[summer] ?? 0) / 100);
	const heading = $derived(
		!bed.ground
			? texts.isNotMeasuredYet(bed.name)
			: f
				? `${sayFits(f.asked.count)} ${placed ? texts.besideWhatStandsIn : 'in'} ${bed.name}`
				: `${bed.name}: ${sayArea(bed.ground.areaM2, units)}`
	);
</script>

<svelte:head><title>{texts.ground2(bed.name, data.garden.name)}</title></svelte:head>
<Trail to="{base}/ground" name="Ground" />
<h1 class="mt-1">{heading}</h1>
{#if !data.isToday}<p class="mt-1 text-lg"><strong>{sayThen(data.viewed, data.garden.today)}</strong></p>{/if}
{#if f}
	<p class="mt-1 max-w-prose text-lg text-faded">
		{texts.atOn(
			f.mix ? texts.andInGroupsOf(f.mix.counts[0], f.kind.name, f.mix.counts[1], f.mix.kind.name) : f.kind.name,
			sayLength(f.asked.spacingCm, units),
			sayArea(bed.ground!.areaM2, units),
			f.asked.count > 1 && !f.mix ? sayCover(f.asked.touch, f.asked.closed) : '',
			sayInHand(f.asked.count, f.likely)
		)}
		{#if f.hedge}{texts.asAHedgeAlong(f.hedge.one, f.hedge.two)}{/if}
		{#if f.hedge && f.hedge.gaps !== null}{sayGaps(f.hedge.gaps)}{/if}
		{sayKeptBy(f.spares)}
	</p>
{:else if !bed.ground}
	<p class="mt-1 max-w-prose text-lg text-faded">{texts.withItsSizeIt}</p>
{/if}
{#if 'trouble' in data && data.trouble}<Note tone="harm" said>{data.trouble}</Note>{/if}
{#if f?.steep}<Note>{texts.isSteepPlantIn(Math.round(bed.ground!.said.slope!.deg))}</Note>{/if}
{#if f?.wrong}<Note tone="harm" said>{texts.whatIsShownIs(f.wrong, sayLength(f.asked.spacingCm, units))}</Note>{/if}

{#if bed.ground}
	<div class="mt-4 grid gap-6 lg:grid-cols-[2fr_1fr]">
		<div>
			<BedDrawing
				outline={bed.ground.outline}
				holes={bed.ground.holes}
				points={f?.points ?? []}
				others={f?.mix?.isOther ?? []}
				othersAcrossM={(f?.mix?.spreads[summer] ?? 0) / 100}
				stands={bed.stands}
				{acrossM}
				{units}
				say={f
					? texts.fromAboveWithOf(bed.name, f.asked.count, f.kind.name, sayLength(acrossM * 100, units))
					: texts.fromAbove(bed.name)}
			/>
			{#if f && f.asked.count > 0}
				<label class="no-print mt-2 block">
					<span
						>{texts.across(
							summer === 0 ? texts.asTheyAreSet : texts.after(summer, summer === 1 ? texts.summer : texts.summers),
							sayLength(acrossM * 100, units)
						)}</span
					>
					<Range min={0} max={10} step={1} bind:value={summer} />
				</label>
			{/if}
		</div>
		<form
			class="no-print flex flex-col gap-4"
			onsubmit={(e) => {
				e.preventDefault();
				void ask();
			}}
		>
			<ChoiceField
				label={texts.kind}
				name="kind"
				items={data.kinds.map((k) => ({ value: k.id, name: k.name, beside: k.have ? texts.youHaveIt : '' }))}
				bind:value={kind}
			/>
			<ChoiceField
				label={texts.mixedWith}
				name="beside"
				items={[
					{ value: '', name: texts.nothingElse, beside: '' },
					...data.kinds
						.filter((k) => k.id !== kind)
						.map((k) => ({ value: k.id, name: k.name, beside: k.have ? texts.youHaveIt : '' }))
				]}
				bind:value={beside}
			/>
			{#if beside}<Field
					label={texts.shareOfThat}
					name="share"
					bind:value={share}
					unit="%"
					numeric
					hint={texts.from10To90}
				/>{/if}
			<Field
				label={texts.spacing}
				name="spacing"
				bind:value={spacing}
				unit={short.unit}
				numeric
				hint={texts.leftBlankTheHandbooks}
			/>
			<Field
				label={texts.fromTheEdgeAt}
				name="margin"
				bind:value={margin}
				unit={short.unit}
				numeric
				hint={texts.leftBlankTheyMay}
			/>
			<SelectField
				label={texts.pattern}
				name="pattern"
				bind:value={pattern}
				items={[
					{ value: 'triangular', name: texts.staggeredAllNeighboursAlike },
					{ value: 'square', name: 'square' },
					{ value: 'drift', name: texts.aDriftAsIf }
				]}
			/>
			{#if bed.kind === 'hedge'}<Field
					label={texts.gapsInTheStanding}
					name="gaps"
					bind:value={gaps}
					unit={longMeasure(units).unit}
					hint={texts.eachFromOnePlant}
				/>{/if}
			{#if pattern !== 'drift'}<Checkbox bind:checked={turn}>{texts.rowsInAnyDirection}</Checkbox>{/if}
			<Act type="submit" main>{texts.fillIt}</Act>
		</form>
	</div>
{/if}

{#if f}
	<section class="mt-8" aria-labelledby="choices">
		<h2 id="choices" class="border-b border-ink pb-1">{texts.closerOrWider}</h2>
		<Rows
			caption={texts.closerOrWider}
			silent
			heads={[
				texts.apart2,
				{ name: texts.plants, end: true },
				texts.theyTouch,
				{ name: texts.earthCovered, wide: true },
				{ name: texts.ifBought, end: true }
			]}
			rows={f.choices}
			key={(c) => c.spacingCm}
		>
			{#snippet cells(c: Filling)}
				{@const mine = c.spacingCm === f.asked.spacingCm}
				{@const as = String(Math.round(short.shown(c.spacingCm) * 10) / 10)}
				<TableBodyCell class="whitespace-nowrap {mine ? 'font-semibold' : ''}">
					{#if mine}{sayLength(c.spacingCm, units)}{:else}<a
							class="inline-flex min-h-11 items-center text-leaf underline underline-offset-4"
							href={address({ spacing: as })}
							onclick={() => (spacing = as)}>{sayLength(c.spacingCm, units)}</a
						>{/if}
				</TableBodyCell>
				<TableBodyCell class="text-right text-lg font-semibold">{c.count}</TableBodyCell>
				<TableBodyCell>{sayWhen(c.touch) ?? texts.never}</TableBodyCell>
				<TableBodyCell class="hidden sm:table-cell">{sayWhen(c.closed) ?? texts.never}</TableBodyCell>
				<TableBodyCell class="text-right whitespace-nowrap">{sayMoney(c.money, data.garden.currency)}</TableBodyCell>
			{/snippet}
		</Rows>
		<p class="note mt-2 max-w-prose">
			{texts.howWideAPlant(
				f.pattern === 'drift'
					? texts.noTwoAreNearer
					: f.exact
						? texts.noOtherPlaceOf
						: f.turn
							? texts.theBestOfThe
							: texts.soLargeThatNot
			)}
		</p>
		<div class="no-print mt-3 flex flex-wrap gap-3">
			<Act href="{base}/ground/{bed.id}/sheet.pdf{address()}">{texts.printItToScale}</Act>
			{#each f.mix ? [{ ...f.kind, n: f.mix.counts[0] }, { ...f.mix.kind, n: f.mix.counts[1] }] : [{ ...f.kind, n: f.asked.count }] as k (k.id)}
				<Act href="{base}/wants/new?kind={k.id}&count={k.n}&place={bed.id}"
					>{texts.sayThatYouWant(k.n, f.mix ? k.name : texts.ofThem)}</Act
				>
			{/each}
		</div>
	</section>
{/if}

<section class="mt-8" aria-labelledby="there">
	<h2 id="there" class="border-b border-ink pb-1">{texts.whatStandsThere}</h2>
	{#if bed.stands.length}
		<ul class="mt-2">
			{#each bed.stands as s, n (s.id)}
				<li class="border-b border-rule py-1">
					<span class="flex flex-wrap items-center justify-between gap-x-4">
						<span
							>{#if s.at.length}<span
									class="mr-2 inline-grid size-7 place-items-center rounded-full border border-ink bg-catkin/40 text-[0.875rem] font-semibold"
									>{n + 1}</span
								>{/if}<a href="{base}/{s.link}">{s.count} {s.name}</a>
							<span class="note"
								>{texts.across2(
									sayLength(s.acrossM * 100, units),
									s.coming ? texts.onTheWay : '',
									!bed.ground
										? ''
										: s.assumed
											? texts.drawnWhereItFits
											: s.at.length === s.count
												? ''
												: s.at.length === 0
													? texts.notSetInThe
													: texts.setInTheDrawing(s.at.length)
								)}</span
							>{#if s.lift}<span class="note block"
									>{texts.toMoveABall(
										s.count === 1 ? texts.it : texts.one,
										sayLength(s.lift.acrossCm, units),
										sayKilos(s.lift.kg),
										s.lift.people > 1 ? texts.byPeople(s.lift.people) : ''
									)}</span
								>{/if}</span
						>
						{#if bed.ground && s.what === 'stock' && data.isToday}<Act
								class="no-print"
								aria-expanded={setting === s.id}
								onclick={() => (setting = setting === s.id ? null : s.id)}
								>{setting === s.id ? texts.leaveIt : s.at.length ? texts.setAnew : texts.setItInThe}</Act
							>{/if}
					</span>
					{#if setting === s.id && bed.ground}
						<Setting stock={s} {bed} {units} today={data.garden.today} ondone={() => (setting = null)} />
					{/if}
				</li>
			{/each}
		</ul>
		{#if bed.ground && unset > 0 && f}<p class="note mt-2">
				{texts.withoutAPlaceIn(
					unset === 1 ? texts.onePlant : texts.plants2(unset),
					unset === 1 ? texts.is : texts.are,
					unset === 1 ? texts.it : texts.they
				)}
			</p>{/if}
		<div class="no-print mt-3"><Act href="{base}/ground/moves?free={bed.id}">{texts.clearThisBedWhere}</Act></div>
	{:else}<p class="mt-2 text-faded">{texts.nothingIsToldTo}</p>{/if}
</section>

<section class="no-print mt-8" aria-labelledby="measured">
	{#if bed.ground}
		<Fold label={texts.measureItAnew}>
			<Measure said={bed.ground.said} {units} today={data.garden.today} seen={{ id: bed.id, version: bed.version }} />
		</Fold>
	{:else}
		<h2 id="measured" class="border-b border-ink pb-1">{texts.measureIt}</h2>
		<div class="mt-3">
			<Measure said={null} {units} today={data.garden.today} seen={{ id: bed.id, version: bed.version }} />
		</div>
	{/if}
</section>
