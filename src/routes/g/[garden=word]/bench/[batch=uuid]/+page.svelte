<script lang="ts">
	import Note from '$lib/ui/Note.svelte';
	import { Checkbox, Input } from 'flowbite-svelte';
	import Act from '$lib/ui/Act.svelte';
	import { untrack } from 'svelte';
	import { dayNumber, sayDate } from '$lib/core/dates.js';
	import { SIGNS } from '$lib/core/ledger/entries.js';
	import { potFor } from '$lib/core/mix/potOn.js';
	import { sayOdds, sayPlanted } from '$lib/core/odds/words.js';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import Field from '$lib/ui/Field.svelte';
	import { numberOf } from '$lib/ui/form.js';
	import PieceBar from '$lib/ui/PieceBar.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import Stepper from '$lib/ui/Stepper.svelte';
	import StrikeFields from '$lib/ui/StrikeFields.svelte';
	import { plural, sayNext, sayRange, STAGE_WORDS } from '$lib/ui/say.js';
	import { undoEntry } from '$lib/ui/undo.js';
	import Beside from './Beside.svelte';
	import RootingPanel from './RootingPanel.svelte';
	import TrayPanel from './TrayPanel.svelte';
	import type { PageData } from './$types';
	let { data }: { data: PageData } = $props();

	const base = $derived(`/g/${data.garden.slug}`);
	const b = $derived(data.batch);
	const rootedNow = $derived(b.rooted + b.potted);
	const standing = $derived(b.planted - b.lostPlanted);
	const places = $derived([{ value: '', name: 'As it is' }, ...data.places.map((p) => ({ value: p.id, name: p.name }))]);

	const VERBS = [
		['checked', 'Check'],
		['potted', 'Pot'],
		['wintered', 'Count after winter'],
		['planted', 'Plant'],
		['moved', 'Move'],
		['lost', 'Lost'],
		['given', 'Give away'],
		['kept', 'Keep as stock'],
		['split', 'Split'],
		['meant', 'Meant for']
	] as const;
	type Verb = (typeof VERBS)[number][0] | 'struck' | 'dropped';
	const OFFERED: Record<string, Verb> = {
		strike: 'struck',
		look: 'checked',
		'winter-look': 'checked',
		pot: 'potted',
		'winter-count': 'wintered',
		'frost-count': 'wintered',
		plant: 'planted',
		shelter: 'moved'
	};
	/** There is a want that it could be for, or one that it is for. */
	const meantFor = $derived(data.wants.length > 0 || data.want !== null);
	const usable = $derived(
		VERBS.filter(([v]) =>
			b.inHand === 0 ? v === 'lost' && standing > 0 : v === 'split' ? b.inHand > 1 : v === 'meant' ? meantFor : true
		)
	);
	let verb = $state<Verb | null>(null);
	let alive = $state(0);
	let rooted = $state(0);
	let count = $state(1);
	let lookedAtRoots = $state(true);
	let ball = $state<number | null>(null);
	const potOn = $derived(potFor((ball ?? 0) * (data.garden.units.length === 'us' ? 2.54 : 1), data.pots));
	let showing = $state(1);
	let looked = $state(1);

	function open(v: Verb | null) {
		verb = v;
		if (v === 'potted') count = Math.max(1, b.rooted || b.unrooted || b.inHand);
		else if (v === 'planted') count = Math.max(1, b.potted || b.rooted || b.inHand);
		else count = 1;
		ball = null;
		lookedAtRoots = true;
		showing = looked = Math.max(1, b.unrooted);
	}
	// The form asked for by the address opens once, not again with every new count.
	let arrived = '';
	$effect.pre(() => {
		const here = `${b.id} ${data.ask}`;
		if (here === arrived) return;
		arrived = here;
		const asked = data.ask ? (OFFERED[data.ask] ?? null) : null;
		untrack(() => open((asked === 'struck') === (b.status === 'planned') ? asked : null));
	});
	// New counts fill the fields, but never over what was typed.
	let filled = { alive: 0, rooted: 0 };
	$effect.pre(() => {
		const counts = { alive: b.inHand, rooted: rootedNow };
		untrack(() => {
			if (alive === filled.alive) alive = counts.alive;
			if (rooted === filled.rooted) rooted = counts.rooted;
			filled = counts;
		});
	});

	/** After logging the fields follow the counts again. */
	function closed() {
		verb = null;
		filled = { alive: b.inHand, rooted: rootedNow };
		alive = filled.alive;
		rooted = filled.rooted;
	}
</script>

<svelte:head><title>{b.code} {b.kindName}{b.form ? `, ${b.form}` : ''} · {data.garden.name}</title></svelte:head>
<p class="note"><a href="{base}/bench">Bench</a></p>
<div class="mt-1 flex flex-wrap items-start justify-between gap-4 border-b border-ink pb-4">
	<div>
		<h1>
			<span class="border-2 border-ink px-2 font-mono font-normal">{b.code}</span>
			{b.kindName}{b.form ? `, ${b.form}` : ''}
		</h1>
		<p class="mt-2 text-faded">
			{b.wayName}
			{#if b.status === 'planned'}· planned for {sayDate(b.plannedOn!)}{:else if b.struckOn}· struck {sayDate(b.struckOn)}{/if}
			{#if b.placeName}· {b.placeName}{/if}
			{#if data.stock}· from <a href="{base}/stock/{data.stock.id}">{data.stock.label || 'its stock plant'}</a>{/if}
			{#if data.parent}· split from <a href="{base}/bench/{data.parent.id}">{data.parent.code}</a>{/if}
			{#if data.want}· for <a href="{base}/wants/{data.want.id}">{data.want.name}</a>{/if}
		</p>
	</div>
	<Act href="{base}/labels?codes={b.code}">Label</Act>
</div>

<div class="mt-5 grid gap-10 md:grid-cols-[1.35fr_1fr]">
	<div>
		<section aria-label="How it stands">
			{#if !data.isToday}
				<Note tone="now" class="mb-3">
					{Math.round(b.expected.pieces) === 0
						? `Don’t count on any by ${sayDate(data.viewed)}.`
						: `Expected on ${sayDate(data.viewed)}: about ${Math.round(b.expected.pieces)}, ${STAGE_WORDS[b.expected.stage]}.`}
				</Note>
			{/if}
			{#if b.status === 'planned'}
				<p>
					<span class="figure">{b.plannedCount}</span>
					<span class="unit">{data.way.pieces[1]} to strike</span>
				</p>
			{:else if b.status === 'dropped'}
				<p class="text-lg">This plan was dropped.</p>
			{:else}
				<p class="text-lg">
					<span class="figure">{b.inHand}</span>
					<span class="unit"
						>of {b.struck} in hand{standing ? `, ${standing} in the ground` : ''}{b.lastSign
							? `; last sign: ${b.lastSign}`
							: ''}</span
					>
				</p>
				<div class="mt-2 max-w-lg"><PieceBar batch={b} /></div>
			{/if}
			{#if b.trouble && data.isToday}<Note tone="harm" class="mt-3 max-w-prose text-lg">
					{b.trouble.sentence}
				</Note>{/if}
			{#if b.rooting && data.isToday && b.struckOn}
				<RootingPanel rooting={b.rooting} today={dayNumber(data.garden.today)} struck={dayNumber(b.struckOn)} known={rootedNow} />
			{/if}
			{#if b.coming && (b.inHand > 0 || b.status === 'planned')}
				<p class="mt-3 max-w-prose text-lg">
					{sayPlanted(b.coming)}{#if b.plantedOn && b.coming.p50 > 0}, about {sayDate(
							b.plantedOn.usual
						)}{#if b.plantedOn.quick !== b.plantedOn.slow}<span class="note"
								>{` (${sayRange(b.plantedOn.quick, b.plantedOn.slow)})`}</span
							>{/if}{/if}.
				</p>
			{/if}
			{#if data.want}<p class="mt-1">
					Its want, {data.want.name} by {sayDate(data.want.due)}: <strong>{sayOdds(data.want.odds)}</strong>.
				</p>{/if}
			{#if data.tall && data.isToday}<p class="mt-1 max-w-prose">{data.tall}</p>{/if}
			{#if b.next}<p class="mt-1">{sayNext(b.next, data.way.pieces, data.garden.today)}</p>{/if}
		</section>

		{#if b.status === 'planned'}
			<div class="mt-5 flex flex-wrap gap-3">
				<Act main aria-expanded={verb === 'struck'} onclick={() => open(verb === 'struck' ? null : 'struck')}>Strike it</Act>
				<Act aria-expanded={verb === 'dropped'} onclick={() => open(verb === 'dropped' ? null : 'dropped')}>Drop the plan</Act>
				{#if meantFor}<Act aria-expanded={verb === 'meant'} onclick={() => open(verb === 'meant' ? null : 'meant')}>Meant for</Act
					>{/if}
			</div>
		{:else if usable.length}
			<div class="mt-5 flex flex-wrap gap-2" role="group" aria-label="Log">
				{#each usable as [v, label] (v)}
					{@const name = v === 'wintered' && b.trouble?.frost ? 'Count after frost' : label}
					<Act main={verb === v} aria-expanded={verb === v} onclick={() => open(verb === v ? null : v)}>{name}</Act>
				{/each}
			</div>
		{/if}

		{#if verb}
			<div class="mt-4 max-w-lg border-t-4 border-catkin bg-pane p-4">
				{#key verb}
					<EntryForm
						action=""
						submit={verb === 'struck' ? 'Struck' : verb === 'dropped' ? 'Drop it' : 'Log it'}
						today={data.garden.today}
						seen={b.version}
						dated={verb !== 'dropped'}
						ondone={closed}
					>
						<input type="hidden" name="verb" value={verb} />
						{#if verb === 'struck'}
							{#each data.hazards as h (h.what)}<Note tone="harm">
									<strong>{h.what}:</strong>
									{h.say}
								</Note>{/each}
							{#each data.way.cautions as c (c)}<Note tone="harm">{c}</Note>{/each}
							<StrikeFields
								count={b.plannedCount}
								places={data.places}
								placeId={b.placeId}
								way={data.way}
								pieces={data.way.pieces}
							/>
						{:else if verb === 'checked'}
							<Stepper
								label="Alive"
								name="alive"
								bind:value={alive}
								max={b.inHand}
								hint="{b.inHand} at the last count. What is missing counts as lost."
							/>
							{#if b.unrooted > 0}
								<Checkbox name="looked_at_roots" bind:checked={lookedAtRoots}
									>I looked for roots, so none seen means none yet</Checkbox
								>
								{#if lookedAtRoots}<Stepper
										label="Of these rooted"
										name="rooted"
										bind:value={rooted}
										max={b.inHand}
										hint={data.way.signs}
									/>{/if}
							{/if}
							<SelectField
								label="Sign seen"
								name="sign"
								value="none"
								items={SIGNS.map((s) => ({ value: s, name: s === 'none' ? 'none in particular' : s }))}
							/>
							{#if b.unrooted > 0 && !lookedAtRoots}
								<div class="grid gap-4 sm:grid-cols-2">
									<Stepper label="Showing it" name="showing" bind:value={showing} max={b.inHand} />
									<Stepper label="Of so many looked at" name="looked" bind:value={looked} min={1} max={b.inHand} />
								</div>
							{/if}
						{:else if verb === 'potted'}
							<Stepper label="How many" name="count" bind:value={count} min={1} max={b.inHand} />
							<label class="block">
								<span class="mb-1 block font-semibold">Root ball across, {data.garden.units.length === 'us' ? 'in' : 'cm'}</span>
								<Input
									type="number"
									min="0"
									step="0.5"
									class="max-w-28"
									bind:value={() => ball ?? undefined, (v) => (ball = numberOf(v))}
								/>
								<span class="note mt-1 block"
									>{ball
										? potOn.say
										: 'Measured, it chooses the pot. Long water roots may be cut by half; circling ones are teased out.'}</span
								>
							</label>
							{#key potOn.pot?.id}<Field
									label="Into"
									name="container"
									value={potOn.pot?.name ?? data.potIn}
									maxlength={80}
								/>{/key}
							<SelectField label="Where they stand now" name="place_id" items={places} />
						{:else if verb === 'wintered'}
							<input type="hidden" name="after" value={b.trouble?.frost ? 'frost' : 'winter'} />
							<Stepper label="Came through alive" name="alive" bind:value={alive} max={b.inHand} hint="{b.inHand} went in." />
						{:else if verb === 'planted'}
							<Stepper label="How many" name="count" bind:value={count} min={1} max={b.inHand} />
							<SelectField label="Where" name="place_id" value={data.want?.placeId ?? ''} items={places} />
						{:else if verb === 'moved'}
							<SelectField
								label="To"
								name="place_id"
								value={b.placeId ?? ''}
								items={data.places.map((p) => ({ value: p.id, name: p.name }))}
							/>
						{:else if verb === 'meant'}
							<SelectField
								label="Which want it is for"
								name="want_id"
								value={data.want?.id ?? ''}
								items={[{ value: '', name: 'for none' }, ...data.wants.map((w) => ({ value: w.id, name: w.name }))]}
							/>
							<p class="note">Part of it only? Split that off first, then give the part.</p>
						{:else if verb === 'lost'}
							<Stepper label="How many" name="count" bind:value={count} min={1} max={Math.max(b.inHand, standing)} />
							{#if standing > 0}<SelectField
									label="From"
									name="from"
									value={b.inHand > 0 ? 'hand' : 'planted'}
									items={[
										...(b.inHand > 0 ? [{ value: 'hand', name: 'those in hand' }] : []),
										{ value: 'planted', name: 'those planted' }
									]}
								/>{/if}
							<Field label="Why" name="why" placeholder="rot, drought, slugs …" maxlength={200} />
						{:else if verb === 'given'}
							<Stepper label="How many" name="count" bind:value={count} min={1} max={b.inHand} />
							<Field label="To" name="to" maxlength={80} />
						{:else if verb === 'kept'}
							<Stepper
								label="How many"
								name="count"
								bind:value={count}
								min={1}
								max={b.inHand}
								hint="They become stock, with this batch as parent."
							/>
							<SelectField
								label="Where they stand"
								name="place_id"
								value={b.placeId ?? ''}
								items={[{ value: '', name: 'No place yet' }, ...data.places.map((p) => ({ value: p.id, name: p.name }))]}
							/>
						{:else if verb === 'split'}
							<Stepper
								label="How many split off"
								name="count"
								bind:value={count}
								min={1}
								max={b.inHand - 1}
								hint="The furthest on go into a new batch with its own code."
							/>
							<SelectField label="Where the new batch stands" name="place_id" items={places} />
						{:else if verb === 'dropped'}
							<Field label="Why" name="why" maxlength={200} />
						{/if}
					</EntryForm>
				{/key}
			</div>
		{/if}

		{#if b.tray || (b.status === 'growing' && b.unrooted + b.rooted > 1)}
			<TrayPanel batch={b} today={data.garden.today} inHand={b.inHand} />
		{/if}

		<section class="mt-8">
			<h2 class="border-b border-ink pb-1">What happened</h2>
			<ol class="ruled">
				{#each data.story as e (e.id)}
					<li class="flex items-start justify-between gap-4 py-2">
						<div class="min-w-0 {e.undone ? 'text-faded line-through' : ''}">
							<p class="grid gap-x-3 sm:grid-cols-[7.5rem_1fr]">
								<span class="text-faded">{sayDate(e.on)}</span><span>{e.line.replace(/^\S+ [^:]*: /, '')}</span>
							</p>
							{#if e.note}<p class="note wrap-anywhere whitespace-pre-wrap" dir="auto">{e.note}</p>{/if}
						</div>
						{#if e.undone}<span class="note">undone</span>{:else}<button
								class="min-h-11 px-2 text-leaf underline underline-offset-4"
								onclick={() => undoEntry(base, e.id)}>Undo</button
							>{/if}
					</li>
				{/each}
			</ol>
		</section>
	</div>

	<Beside {data} {base} />
</div>
<p class="sr-only">{plural(b.inHand, data.way.pieces)}</p>
