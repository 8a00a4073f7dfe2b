<script lang="ts">
	import Trail from '$lib/ui/Trail.svelte';
	import Fold from '$lib/ui/Fold.svelte';
	import Note from '$lib/ui/Note.svelte';
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
	{s.count > 1 ? `${s.count} alike · ` : ''}{s.placeName || 'no place given'} · {s.condition}{s.size_cm
		? ` · ${sayLength(s.size_cm, data.garden.units)}`
		: ' · usual size'}{s.age_years !== null ? ` · ${s.age_years} years` : ''}
	{#if data.parent}· grown from <a href="{base}/bench/{data.parent.id}">{data.parent.code}</a>{/if}
</p>
{#if s.barred}<Note tone="harm" class="mt-3 bg-pane py-2 text-lg font-semibold text-madder">
		{s.may.sentence}
	</Note>{/if}
{#if s.trouble}<Note tone="harm" class="mt-3 bg-pane py-2 text-lg">{s.trouble}</Note>{/if}
{#if s.gone_on}<Note tone="harm" class="mt-3">
		Gone since {sayDate(s.gone_on)}{ofCause(s.gone_cause)}{s.gone_why ? `: ${s.gone_why}` : ''}.
		{#if data.coldestSeen}The coldest night seen where it stood was {sayTemperature(data.coldestSeen.lowC, data.garden.units)}, on {sayDate(
				data.coldestSeen.on
			)}.{/if}
	</Note>{/if}

<div class="mt-6 grid gap-10 md:grid-cols-[1.4fr_1fr]">
	<section>
		<h2 class="border-b border-ink pb-1">
			What it can give{data.isToday ? ' now' : ` on ${sayDate(data.viewed)}`}
		</h2>
		<ul class="ruled">
			{#each s.gives as g (g.wayId)}
				<li class="flex items-center justify-between gap-4 py-3">
					<div>
						<p class="font-semibold">{g.wayName}</p>
						<p class="note">
							{sayWindow(g)}
							{#if g.fullAgainOn}{g.full} again on {sayDate(g.fullAgainOn)}.{/if}
						</p>
					</div>
					<p class="text-right whitespace-nowrap {g.open ? '' : 'text-faded'}">
						{#if !g.never && !s.barred}
							{@const n = g.open ? g.now : (g.then ?? 0)}
							<span class="figure">{n}</span>
							<span class="unit">{n === 1 ? g.pieceWord[0] : g.pieceWord[1]}{g.open ? '' : ' then'}</span>{/if}
					</p>
				</li>
			{/each}
		</ul>
		{#if !s.barred}<p class="mt-4 flex flex-wrap gap-3">
				<Act main href="{base}/wants/new?kind={s.kind_id}">Say what you want of it</Act>
				<Act href="{base}/stock/{s.id}/cuts">Where to cut, and what it gives</Act>
				<Act href="{base}/bench/new?stock={s.id}">Strike now, without a plan</Act>
				{#if !s.gone_on}<Act href="{base}/shelter/{s.id}">How it gets through the winter</Act>{/if}
			</p>{/if}
		{#if data.hardiness}<Note tone="cold" class="mt-3 max-w-prose">{data.hardiness}</Note>{/if}
		{#each data.hazards as h (h.what)}<Note tone="harm" class="mt-3">
				<strong>{h.what}:</strong>
				{h.say}
			</Note>{/each}

		<h2 class="mt-8 border-b border-ink pb-1">Taken from it</h2>
		{#if s.taken.length === 0}<p class="mt-2 text-faded">Nothing yet.</p>{/if}
		<ul class="ruled">
			{#each s.taken as t (t.id)}
				<li>
					<a href="{base}/bench/{t.id}" class="flex min-h-12 items-center gap-4 hover:bg-pane"
						><span class="border border-ink px-1.5 font-mono">{t.code}</span>{t.pieces}
						{t.planned ? 'planned for' : 'struck'}
						{sayDate(t.on)}</a
					>
				</li>
			{/each}
		</ul>
	</section>
	<section class="flex flex-col gap-6">
		<div>
			<h2 class="border-b border-ink pb-1">May it be multiplied?</h2>
			<p class="mt-2 font-semibold {s.may.may === 'no' ? 'text-madder' : ''}">{s.may.sentence}</p>
			<p class="note mt-1">
				A variety under a live plant patent or breeder’s right may not be multiplied without leave. The label and the office that
				granted it decide, not this app.
			</p>
			<form method="GET" class="mt-3 flex items-end gap-2">
				<div class="flex-1">
					<Field
						label="Look up in the register"
						name="variety"
						value={data.asked}
						hint="By variety, trade name or number. A made-up register that stands in for the real one."
					/>
				</div>
				<Act type="submit" class="mb-6">Look</Act>
			</form>
			{#if data.found === null}<p class="note">The register does not answer now.</p>
			{:else if data.found && data.found.length === 0}<p class="note">
					No such variety in the register. That does not prove it free.
				</p>
			{:else if data.found}
				<ul>
					{#each data.found as v (v.number)}<li>
							‘{v.variety}’, sold as {v.trade}: {v.rightName}
							{v.number}{v.filed ? `, filed ${sayDate(v.filed)}` : ''}{v.granted
								? `, granted ${sayDate(v.granted)}`
								: ', applied for'}. {v.until
								? `${v.until < data.garden.today ? 'Its term ended' : 'Its term runs until'} ${sayDate(v.until)}.`
								: 'When its term ends is not known: treat it as protected.'}
						</li>{/each}
				</ul>
			{/if}
			{#if s.may.may !== 'yes'}
				<Fold label="Record a licence, or that the term has ended" class="mt-2">
					<EntryForm action="?/leave" submit="Record it" today={data.garden.today} noted={false} quiet>
						<SelectField
							label="What"
							name="basis"
							value="licence"
							items={[
								{ value: 'licence', name: 'I have a licence' },
								{ value: 'term-ended', name: 'The term has ended' }
							]}
						/>
						<Field label="Number, letter or how you know" name="reference" maxlength={200} />
					</EntryForm>
				</Fold>
			{/if}
		</div>
		{#if !s.gone_on}
			<Fold label="Look it over again: size, condition, place">
				<EntryForm action="?/look" submit="Log it" today={data.garden.today} seen={s}>
					<StockFields units={data.garden.units} places={data.places} measure={s.measure} at={{ ...s }} />
				</EntryForm>
			</Fold>
			{#if data.lives}<Fold label="Does it look dead?"><LooksDead {...data.lives} /></Fold>{/if}
			<Fold label="It is gone">
				<EntryForm action="?/gone" submit="Log as gone" today={data.garden.today} noted={false} quiet
					><SelectField
						label="What took it"
						name="cause"
						value=""
						items={[{ value: '', name: 'not known' }, ...CAUSES.map((c) => ({ value: c, name: CAUSE_WORDS[c] }))]}
						hint="Cold teaches what its place is; anything else, how such a place keeps its kind."
					/><Field label="Why" name="why" /></EntryForm
				>
			</Fold>
		{/if}
	</section>
</div>
