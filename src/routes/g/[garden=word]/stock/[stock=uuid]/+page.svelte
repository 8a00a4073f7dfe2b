<script lang="ts">
	import { texts } from '$lib/messages/stock.js';
	import Trail from '$lib/ui/Trail.svelte';
	import Fold from '$lib/ui/Fold.svelte';
	import Note from '$lib/ui/Note.svelte';
	import Island from '$lib/ui/Island.svelte';
	import Act from '$lib/ui/Act.svelte';
	import { sayWindow } from '$lib/ui/say.js';
	import { sayDate } from '$lib/core/dates.js';
	import { CAUSE_WORDS, CAUSES, ofCause } from '$lib/core/ledger/causes.js';
	import { sayLength, sayTemperature } from '$lib/core/units/index.js';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import Field from '$lib/ui/Field.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import LooksDead from './LooksDead.svelte';
	import StockFields from '$lib/ui/StockFields.svelte';
	import type { PageData } from './$types';
	let { data }: { data: PageData } = $props();
	const base = $derived(`/g/${data.garden.slug}`);
	const s = $derived(data.stock);
</script>

<svelte:head><title>{s.kindName} · {data.garden.name}</title></svelte:head>
<Trail to="{base}/stock" name="Stock" />
<h1 class="mt-1">{s.kindName}{s.label ? `, ${s.label}` : ''}</h1>
<p class="text-faded">
	{s.count > 1 ? texts.alike(s.count) : ''}{s.placeName || texts.noPlaceGiven} · {s.condition}{s.size_cm
		? ` · ${sayLength(s.size_cm, data.garden.units)}`
		: texts.usualSize}{s.age_years !== null ? texts.years2(s.age_years) : ''}
	{#if data.parent}{texts.grownFrom} <a href="{base}/bench/{data.parent.id}">{data.parent.code}</a>{/if}
</p>
{#if s.barred}<Note tone="harm" class="mt-3 bg-pane py-2 text-lg font-semibold text-madder">
		{s.may.sentence}
	</Note>{/if}
{#if s.trouble}<Note tone="harm" class="mt-3 bg-pane py-2 text-lg">{s.trouble}</Note>{/if}
{#if s.gone_on}<Note tone="harm" class="mt-3">
		{texts.goneSince(sayDate(s.gone_on), ofCause(s.gone_cause), s.gone_why ? `: ${s.gone_why}` : '')}
		{#if data.coldestSeen}{texts.theColdestNightSeen(
				sayTemperature(data.coldestSeen.lowC, data.garden.units),
				sayDate(data.coldestSeen.on)
			)}{/if}
	</Note>{/if}

<div class="mt-6 grid gap-10 md:grid-cols-[1.4fr_1fr]">
	<section>
		<h2 class="border-b border-ink pb-1">
			{texts.whatItCanGive(data.isToday ? texts.now2 : texts.on2(sayDate(data.viewed)))}
		</h2>
		<Island>
			<ul class="ruled">
				{#each s.gives as g (g.wayId)}
					<li class="flex items-center justify-between gap-4 py-3">
						<div>
							<p class="font-semibold">{g.wayName}</p>
							<p class="note">
								{sayWindow(g)}
								{#if g.fullAgainOn}{texts.againOn(g.full, sayDate(g.fullAgainOn))}{/if}
							</p>
						</div>
						<p class="text-right whitespace-nowrap {g.open ? '' : 'text-faded'}">
							{#if !g.never && !s.barred}
								{@const n = g.open ? g.now : (g.then ?? 0)}
								<span class="figure">{n}</span>
								<span class="unit">{n === 1 ? g.pieceWord[0] : g.pieceWord[1]}{g.open ? '' : texts.then}</span>{/if}
						</p>
					</li>
				{/each}
			</ul>
		</Island>
		{#if !s.barred}<div class="mt-4 flex flex-wrap gap-3">
				<Island>
					<Act main href="{base}/wants/new?kind={s.kind_id}">{texts.sayWhatYouWant}</Act>
					<Act href="{base}/stock/{s.id}/cuts">{texts.whereToCutAnd}</Act>
					<Act href="{base}/bench/new?stock={s.id}">{texts.strikeNowWithoutA}</Act>
					{#if !s.gone_on}<Act href="{base}/shelter/{s.id}">{texts.howItGetsThrough}</Act>{/if}
				</Island>
			</div>{/if}
		{#if data.hardiness}<Note tone="cold" class="mt-3 max-w-prose">{data.hardiness}</Note>{/if}
		{#each data.hazards as h (h.what)}<Note tone="harm" class="mt-3">
				<strong>{h.what}:</strong>
				{h.say}
			</Note>{/each}

		<h2 class="mt-8 border-b border-ink pb-1">{texts.takenFromIt}</h2>
		{#if s.taken.length === 0}<p class="mt-2 text-faded">{texts.nothingYet}</p>{/if}
		<ul class="ruled">
			{#each s.taken as t (t.id)}
				<li>
					<a href="{base}/bench/{t.id}" class="flex min-h-12 items-center gap-4 hover:bg-pane"
						><span class="border border-ink px-1.5 font-mono">{t.code}</span>{t.pieces}
						{t.planned ? texts.plannedFor : texts.struck}
						{sayDate(t.on)}</a
					>
				</li>
			{/each}
		</ul>
	</section>
	<section class="flex flex-col gap-6">
		<Island>
			<div>
				<h2 class="border-b border-ink pb-1">{texts.mayItBeMultiplied}</h2>
				<p class="mt-2 font-semibold {s.may.may === 'no' ? 'text-madder' : ''}">{s.may.sentence}</p>
				<p class="note mt-1">
					{texts.aVarietyUnderA}
				</p>
				<form method="GET" class="mt-3 flex items-end gap-2">
					<div class="flex-1">
						<Field label={texts.lookUpInThe} name="variety" value={data.asked} hint={texts.byVarietyTradeName} />
					</div>
					<Act type="submit" class="mb-6">{texts.look}</Act>
				</form>
				{#if data.found === null}<p class="note">{texts.theRegisterDoesNot}</p>
				{:else if data.found && data.found.length === 0}<p class="note">
						{texts.noSuchVarietyIn}
					</p>
				{:else if data.found}
					<ul>
						{#each data.found as v (v.number)}<li>
								{texts.soldAs(
									v.variety,
									v.trade,
									v.rightName,
									v.number,
									v.filed ? texts.filed(sayDate(v.filed)) : '',
									v.granted ? texts.granted(sayDate(v.granted)) : texts.appliedFor,
									v.until
										? `${v.until < data.garden.today ? texts.itsTermEnded : texts.itsTermRunsUntil} ${sayDate(v.until)}.`
										: texts.whenItsTermEnds
								)}
							</li>{/each}
					</ul>
				{/if}
				{#if s.may.may !== 'yes'}
					<Fold label={texts.recordALicenceOr} class="mt-2">
						<EntryForm action="?/leave" submit={texts.recordIt} today={data.garden.today} noted={false} quiet>
							<SelectField
								label={texts.what}
								name="basis"
								value="licence"
								items={[
									{ value: 'licence', name: texts.iHaveALicence },
									{ value: 'term-ended', name: texts.theTermHasEnded }
								]}
							/>
							<Field label={texts.numberLetterOrHow} name="reference" maxlength={200} />
						</EntryForm>
					</Fold>
				{/if}
			</div>
			{#if !s.gone_on}
				<Fold label={texts.lookItOverAgain}>
					<EntryForm action="?/look" submit={texts.logIt} today={data.garden.today} seen={s}>
						{#key s.id}<StockFields units={data.garden.units} places={data.places} measure={s.measure} at={{ ...s }} />{/key}
					</EntryForm>
				</Fold>
				{#if data.lives}<Fold label={texts.doesItLookDead}><LooksDead {...data.lives} /></Fold>{/if}
				<Fold label={texts.itIsGone}>
					<EntryForm action="?/gone" submit={texts.logAsGone} today={data.garden.today} noted={false} quiet
						><SelectField
							label={texts.whatTookIt}
							name="cause"
							value=""
							items={[{ value: '', name: texts.notKnown }, ...CAUSES.map((c) => ({ value: c, name: CAUSE_WORDS[c] }))]}
							hint={texts.coldTeachesWhatIts}
						/><Field label={texts.why} name="why" /></EntryForm
					>
				</Fold>
			{/if}
		</Island>
	</section>
</div>
