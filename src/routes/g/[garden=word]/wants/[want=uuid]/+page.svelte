<script lang="ts">
	import { insteadOf } from '$lib/core/plan/instead.js';
	import Fold from '$lib/ui/Fold.svelte';
	import Note from '$lib/ui/Note.svelte';
	import Act from '$lib/ui/Act.svelte';
	import { goto } from '$app/navigation';
	import { isoOf, sayDate } from '$lib/core/dates.js';
	import { capital, sayCount, sayDoes, sayOdds, sayShare } from '$lib/core/odds/words.js';
	import { sayArea, sayMinutes, sayVolume } from '$lib/core/units/index.js';
	import Chart from '$lib/ui/Chart.svelte';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import Field from '$lib/ui/Field.svelte';
	import OddsSketch from '$lib/ui/OddsSketch.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import StandingMark from '$lib/ui/StandingMark.svelte';
	import { HINGE_WORDS, money, PLACE_WORDS, plural, PURPOSE_WORDS, sayRange, STAGE_WORDS } from '$lib/ui/say.js';
	import ChangeWant from './ChangeWant.svelte';
	import type { PageData } from './$types';
	const lower = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);
	let { data }: { data: PageData } = $props();

	const base = $derived(`/g/${data.garden.slug}`);
	const want = $derived(data.want);
	const p = $derived(data.planned);
	const feasible = $derived(p?.plan?.ways.filter((w) => w.best) ?? []);
	const tooLate = $derived(p?.plan !== null && p?.plan !== undefined && feasible.length === 0);
	const instead = $derived(tooLate && p?.plan ? insteadOf(p.plan.ways, want.confidence) : null);
	/** Odds that read like those asked for, and are less, are told as less. */
	const sayAll = (odds: number, target: number) =>
		`${sayOdds(odds) === sayOdds(want.confidence) ? 'not quite ' : ''}${sayDoes(odds, 'you', 'get', `all ${target}`)}`;
	const nearly = $derived(instead?.nearly ?? false);
	const iso = (day: number) => isoOf(day);
	/** "92 struck in 3 goes, the last on 12 July". */
	const goes = (f: { on: number; strike: number; flushes: readonly unknown[] }, said = `${f.strike} `) =>
		`${said}struck ${f.flushes.length > 1 ? `in ${f.flushes.length} goes, as the plant grows back, the last ` : ''}on ${sayDate(iso(f.on))}`;
	const currency = $derived(data.garden.currency);

	type W = NonNullable<NonNullable<PageData['planned']>['plan']>['ways'][number];
	const curve = (w: W) => ({
		grid: { left: 44, right: 16, top: 28, bottom: 28 },
		legend: { top: 0, right: 0, itemHeight: 8 },
		tooltip: { trigger: 'axis' },
		xAxis: { type: 'time', axisLabel: { hideOverlap: true, formatter: '{d} {MMM}' } },
		yAxis: { type: 'value', name: w.pieces[1], min: 0, minInterval: 1 },
		series: [
			{
				name: 'to strike',
				type: 'line',
				showSymbol: false,
				step: 'end',
				lineStyle: { width: 3 },
				data: w.curve.map((c) => [iso(c.on), c.strike])
			},
			{
				name: 'the stock can give',
				type: 'line',
				showSymbol: false,
				lineStyle: { width: 2, type: 'dashed' },
				data: w.curve.map((c) => [iso(c.on), c.canGive])
			}
		]
	});
	function curveTitle(w: W): string {
		const able = w.curve.filter((c) => c.strike !== null && c.strike <= c.canGive);
		const [a, b] = [able[0], able.at(-1)];
		if (!a || !b) return 'On no day is it enough';
		return `Struck on ${sayDate(iso(a.on))} it takes ${a.strike}; on the last safe day, ${sayDate(iso(b.on))}, ${b.strike}`;
	}
	let shownCurve = $state<string | null>(null);
</script>

<svelte:head><title>{want.target} {want.kindName} · {data.garden.name}</title></svelte:head>

<p class="note"><a href="{base}/wants">Wants</a></p>
<div class="mt-1 grid gap-6 border-b border-ink pb-6 md:grid-cols-[1fr_auto]">
	<div>
		<h1>{want.target} {want.kindName}{want.label ? `, ${want.label}` : ''}</h1>
		<p class="text-faded">
			{PURPOSE_WORDS[want.purpose]}{data.placeName ? ` · ${data.placeName}` : ''} · by {sayDate(want.due)} · as sure as {Math.round(
				want.confidence * 100
			)} times in 100
		</p>
		<p class="mt-3 text-lg"><StandingMark word={want.dropped ? 'dropped' : want.standing} /></p>
		{#if want.batches.length}
			<p class="mt-1 max-w-prose text-lg">
				As things stand <strong>{sayDoes(want.odds, 'you', 'get', `${want.target} or more`)}</strong>; {sayCount(want.quantiles)}.
				{#if want.planned}Without what is only planned: {sayOdds(want.oddsGrowing)}.{/if}
			</p>
			{#if want.ready}<p class="note mt-1">
					In the ground about {sayDate(want.ready.usual)}{want.ready.quick === want.ready.slow
						? ''
						: ` (${sayRange(want.ready.quick, want.ready.slow)})`}.
				</p>{/if}
			{#if want.hinge}<p class="note">
					It hangs most on {HINGE_WORDS[want.hinge.stage]} of
					<a href="{base}/bench/{want.hinge.batchId}">{want.hinge.code}</a>.
				</p>{/if}
		{/if}
	</div>
	{#if want.pmf.length > 1 && want.standing !== 'met'}<div>
			<OddsSketch pmf={want.pmf} target={want.target} width={300} height={90} />
		</div>{/if}
</div>

{#if want.batches.length}
	<section class="border-b border-rule py-5">
		<h2>Its batches</h2>
		<ul class="ruled mt-2">
			{#each want.batches as b (b.id)}
				<li>
					<a href="{base}/bench/{b.id}" class="flex min-h-12 flex-wrap items-center gap-x-4 hover:bg-pane">
						<span class="border border-ink px-1.5 font-mono">{b.code}</span>
						<span
							>{b.status === 'planned'
								? `${b.planned} planned for ${sayDate(b.on)}`
								: `${b.struck} struck ${sayDate(b.on)}, ${b.inHand} in hand`}</span
						>
						{#if b.inTime < 0.95}<span class="text-madder">{sayShare(b.inTime)} in time</span>{/if}
					</a>
				</li>
			{/each}
		</ul>
	</section>
{/if}

{#if p}
	<section class="py-6">
		<div class="flex flex-wrap items-end justify-between gap-4">
			<h2>{p.why ? 'The plan' : p.beside ? 'To make up what is missing' : 'Ways to get there'}</h2>
			{#if p.choices.length > 1}
				<div class="w-72">
					<SelectField
						label="From this stock"
						name="stock"
						value={p.stockId ?? ''}
						items={p.choices.map((c) => ({ value: c.id, name: c.label }))}
					/>
				</div>
				<Act
					onclick={() =>
						goto(`?stock=${(document.querySelector('select[name=stock]') as HTMLSelectElement | null)?.value ?? ''}`, {
							noScroll: true
						})}>Plan from it</Act
				>
			{/if}
		</div>

		{#if data.kind.hardiness}<Note tone="cold" class="mt-3 max-w-prose">{data.kind.hardiness}</Note>{/if}
		{#if p.why}
			<Note tone={p.why.startsWith('As things') ? 'well' : 'harm'} class="mt-4 bg-pane py-3">
				<p class="text-lg">{p.why}</p>
				{#if p.choices.length === 0}
					<p class="mt-3">
						<Act main href="{base}/stock/new?kind={data.kind.id}">Add stock of {data.kind.common}</Act>
					</p>
				{:else if p.stockId && p.choices.find((c) => c.id === p.stockId)?.refused}
					<p class="mt-3">
						<Act href="{base}/stock/{p.stockId}">Record a licence or that the term has ended</Act>
					</p>
				{/if}
			</Note>
		{/if}
		{#each p.choices.filter((c) => c.id === p.stockId && c.may.may === 'look') as c (c.id)}
			<Note tone="now" class="mt-3">{c.may.sentence}</Note>
		{/each}
		{#if p.keep}
			<p class="mt-3 max-w-prose">
				{#if p.keep.shelter}
					{p.keep.toMove ? 'Brought into' : 'In'} the {PLACE_WORDS[p.keep.shelter.in as keyof typeof PLACE_WORDS] ??
						p.keep.shelter.in}, <strong>{sayDoes(p.keep.parentAlone, 'the parent', 'comes', 'through')}</strong>. {p.keep.shelter
						.say}
				{:else}
					None of your places shelters the parent, so all rests on cuttings. {data.kind.winterSays}
				{/if}
			</p>
		{/if}

		{#if p.plan?.lastSafe}
			<p class="mt-3 text-lg">The last safe day to strike is <strong>{sayDate(p.plan.lastSafe)}</strong>.</p>
		{/if}
		{#if tooLate && instead}
			<Note tone="harm" class="mt-4 bg-pane py-3">
				<p class="text-lg font-semibold">
					{nearly ? 'Not quite as sure as you ask' : 'You can’t be that sure of having them'} by {sayDate(want.due)}.
				</p>
				<ul class="mt-2 list-disc pl-5">
					{#if instead.most?.fallback}
						<li>
							The most that can be had by then: {instead.most.name}, {goes(instead.most.fallback)}, {instead.most.fallback
								.usually < 1
								? 'but don’t count on any'
								: `usually leave ${Math.floor(instead.most.fallback.usually)}; ${sayAll(instead.most.fallback.probability, p.target)}`}.
						</li>
					{/if}
					{#if instead.soonest?.earliest}
						<li>
							As sure as you ask by {sayDate(iso(instead.soonest.earliest.ready))}: {instead.soonest.name}, {instead.soonest
								.earliest.strike} struck on {sayDate(iso(instead.soonest.earliest.on))}.
						</li>
					{/if}
					<li>
						Bought, {p.target} would cost about {money(p.buying, currency)} (price per plant is a guess; set yours in the
						<a href="{base}/handbook/{data.kind.id}">handbook</a>).
					</li>
				</ul>
			</Note>
		{/if}

		{#each p.plan?.byHour ?? [] as other (other.worth)}
			<p class="mt-3 max-w-prose">
				They stand in the order of what they cost you, with an hour of your time at {money(p.plan!.hourWorth, currency)}. At {money(
					other.worth,
					currency
				)} an hour,
				{lower(p.plan!.ways.find((w) => w.wayId === other.wayId)?.name ?? '')} would come first.
			</p>
		{/each}
		{#if p.plan}
			<ol class="mt-5">
				{#each p.plan.ways as w, i (w.wayId)}
					<li class="border-t border-ink py-5">
						{#if w.best}
							<div class="grid gap-x-8 gap-y-4 md:grid-cols-[13rem_1fr]">
								<div>
									<p class="note">{i === 0 ? 'Least work' : 'Another way'}</p>
									<h3>{w.name}</h3>
									<p class="mt-2">
										<span class="figure">{w.best.strike}</span> <span class="unit">{w.pieces[1]}</span>
									</p>
									<p class="font-semibold">
										{w.best.flushes
											.map((x) => `${w.best!.flushes.length > 1 ? `${x.pieces} on ` : ''}${sayDate(iso(x.on))}`)
											.join(', ')}
									</p>
								</div>
								<div>
									<p class="max-w-prose text-lg">
										Take {w.best.strike}{p.beside ? ' more' : ''};
										<strong
											>{sayDoes(w.best.probability, 'that', 'leaves you', `${p.target} or more by ${sayDate(want.due)}`)}</strong
										>. {capital(sayCount(w.best.quantiles))}.
									</p>
									<p class="mt-1">
										Ready about {sayDate(iso(w.best.ready.usual))}{w.best.ready.quick === w.best.ready.slow
											? ''
											: ` (${sayRange(iso(w.best.ready.quick), iso(w.best.ready.slow))})`}.
										{#if w.best.inTime < 0.995}{capital(sayShare(w.best.inTime))} of them are ready in time.{/if}
										{#if w.lastSafe !== null}Last safe day {sayDate(iso(w.lastSafe))}.{/if}
										{#if !w.best.inBest}Outside the best weeks of its window, but in it.{/if}
									</p>
									{#if w.hinge}<p class="mt-1">
											It hangs most on {HINGE_WORDS[w.hinge.stage]}: {sayShare(w.hinge.chance)}, known as well as if {Math.round(
												w.hinge.weight
											)} pieces had been counted{w.hinge.weight > (w.stageWeight ?? Infinity) + 0.5
												? ', your own among them'
												: ` (${lower(w.hinge.source)})`}.
										</p>{/if}
									{#if sayOdds(w.best.moreAlike) !== sayOdds(w.best.probability)}<p class="mt-1">
											How alike the pieces of one batch fare is <a href="{base}/handbook/sources#judgements">our own judgement</a
											>. If they were twice as alike: {sayOdds(w.best.moreAlike)}.
										</p>{/if}
									{#each w.best.binds as bind (bind.code)}<p class="mt-1 text-catkin-deep">
											<strong>What limits it:</strong>
											{bind.sentence}
										</p>{/each}
									<dl class="mt-3 grid grid-cols-2 gap-x-6 gap-y-2 sm:grid-cols-4">
										<div>
											<dt class="note">Work in all</dt>
											<dd class="font-semibold">{sayMinutes(w.best.effort.minutes)}</dd>
										</div>
										<div>
											<dt class="note">Most in a week</dt>
											<dd class="font-semibold">{sayMinutes(w.best.effort.peakMinutesPerWeek)}</dd>
										</div>
										<div>
											<dt class="note">Mix</dt>
											<dd class="font-semibold">
												{w.best.effort.litres ? sayVolume(w.best.effort.litres, data.garden.units) : 'none'}
											</dd>
										</div>
										<div>
											<dt class="note">Costs, or bought</dt>
											<dd class="font-semibold">
												{w.best.effort.cost < 1 ? 'Nothing' : `About ${money(w.best.effort.cost, currency)}`}; bought {money(
													w.best.buying,
													currency
												)}
											</dd>
										</div>
									</dl>
									<Fold label="Stage by stage, and how" class="mt-3">
										<div>
											<table class="mt-2 w-full">
												<thead
													><tr class="border-b border-ink"
														><th class="py-1 pr-3">Until</th><th class="pr-3">Pieces</th><th class="pr-3">In</th><th
															class="hidden pr-3 sm:table-cell">Room</th
														><th class="hidden pr-3 sm:table-cell">Mix</th><th>About</th></tr
													></thead
												>
												<tbody class="ruled">
													{#each w.best.effort.stages as s, i (i)}
														<tr class="border-b border-rule"
															><td class="py-1 pr-3">{STAGE_WORDS[s.to]}</td><td class="pr-3">{Math.round(s.entering)}</td><td
																class="pr-3">{s.open ? s.container : `${s.containers} × ${s.container}`}</td
															><td class="hidden pr-3 sm:table-cell"
																>{s.areaCm2 >= 50 ? sayArea(s.areaCm2 / 10_000, data.garden.units) : '–'}</td
															><td class="hidden pr-3 sm:table-cell">{s.litres ? sayVolume(s.litres, data.garden.units) : '–'}</td
															><td>{sayDate(iso(s.until))}</td></tr
														>
													{/each}
												</tbody>
											</table>
										</div>
										{#if w.tall}<p class="mt-3 max-w-prose">{w.tall.years} {w.tall.lift}</p>{/if}
										<p class="mt-3">
											{w.piece.say}. Medium: {w.medium}. Cover: {w.cover}. Hormone: {w.hormone}.
										</p>
										<p class="note">Window: {w.window}.</p>
										{#each w.cautions as caution (caution)}<p class="mt-1 text-madder">{caution}</p>{/each}
									</Fold>
									<div class="mt-3 flex flex-wrap gap-3">
										<EntryForm
											action="?/accept"
											submit="Take this plan"
											today={data.garden.today}
											dated={false}
											noted={false}
											quiet={i > 0}
										>
											<input type="hidden" name="way_id" value={w.wayId} />
											<input type="hidden" name="stock_id" value={p.stockId} />
											<input type="hidden" name="flushes" value={JSON.stringify(w.best.flushes)} />
										</EntryForm>
										<Act
											class="self-start"
											aria-expanded={shownCurve === w.wayId}
											onclick={() => (shownCurve = shownCurve === w.wayId ? null : w.wayId)}>Other days</Act
										>
									</div>
									{#if shownCurve === w.wayId}
										<div class="mt-4">
											<Chart title={curveTitle(w)} option={curve(w)} />
										</div>
									{/if}
								</div>
							</div>
						{:else}
							<h3>{w.name}</h3>
							<p class="mt-1">{w.why}</p>
							{#if w.fallback}
								<p class="note">
									{w.fallback.usually < 1
										? `Don’t count on any by then, even from ${plural(w.fallback.strike, w.pieces)} ${goes(w.fallback, '')}.`
										: `The most it can bring by then: usually ${Math.floor(w.fallback.usually)} from ${plural(w.fallback.strike, w.pieces)} ${goes(w.fallback, '')}; ${sayAll(w.fallback.probability, p.target)}.`}
								</p>
								<div class="mt-2">
									<EntryForm
										action="?/accept"
										submit="Plan that all the same"
										today={data.garden.today}
										dated={false}
										noted={false}
										quiet
									>
										<input type="hidden" name="way_id" value={w.wayId} />
										<input type="hidden" name="stock_id" value={p.stockId} />
										<input type="hidden" name="flushes" value={JSON.stringify(w.fallback.flushes)} />
									</EntryForm>
								</div>
							{/if}
							<p class="note mt-1">Window: {w.window}.</p>
						{/if}
					</li>
				{/each}
			</ol>
		{/if}
	</section>
	{#each data.kind.hazards as h (h.what)}
		<Note tone="harm"><strong>{h.what}:</strong> {h.say}</Note>
	{/each}
	<ChangeWant {want} places={data.places} story={data.story} today={data.garden.today} />
	<Fold label="Not wanted any more" class="border-t border-rule pt-2">
		<div class="max-w-md">
			<EntryForm action="?/drop" submit="Drop this want" today={data.garden.today} dated={false} noted={false} quiet>
				<Field label="Why" name="why" />
			</EntryForm>
		</div>
	</Fold>
{:else}
	<p class="py-6">Dropped. Undo it from the <a href="{base}/ledger">ledger</a> if that was a mistake.</p>
{/if}
