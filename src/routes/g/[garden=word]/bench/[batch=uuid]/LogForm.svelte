<script lang="ts">
	/** One form for each thing that can be logged of a batch, filled with what is usual. */
	import Checkbox from 'flowbite-svelte/Checkbox.svelte';
	import Input from 'flowbite-svelte/Input.svelte';
	import { untrack } from 'svelte';
	import { CAUSE_WORDS, CAUSES } from '$lib/core/ledger/causes.js';
	import { SIGNS } from '$lib/core/ledger/entries.js';
	import { shortMeasure } from '$lib/core/units/index.js';
	import { potFor } from '$lib/core/mix/potOn.js';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Note from '$lib/ui/Note.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import Stepper from '$lib/ui/Stepper.svelte';
	import StrikeFields from '$lib/ui/StrikeFields.svelte';
	import { numberOf } from '$lib/ui/form.js';
	import type { Verb } from './verbs.js';
	import type { PageData } from './$types';

	interface Props {
		verb: Verb;
		data: PageData;
		ondone: () => void;
	}
	let { verb, data, ondone }: Props = $props();
	const b = $derived(data.batch);
	const rootedNow = $derived(b.rooted + b.potted);
	const standing = $derived(b.planted - b.lostPlanted);
	const places = $derived([{ value: '', name: 'As it is' }, ...data.places.map((p) => ({ value: p.id, name: p.name }))]);

	/** As many as the work is usually about. */
	const usual = (): number => {
		if (verb === 'potted') return Math.max(1, b.rooted || b.unrooted || b.inHand);
		if (verb === 'planted') return Math.max(1, b.potted || b.rooted || b.inHand);
		return 1;
	};
	let count = $state(untrack(usual));
	let alive = $state(untrack(() => b.inHand));
	let rooted = $state(untrack(() => rootedNow));
	let showing = $state(untrack(() => Math.max(1, b.unrooted)));
	let looked = $state(untrack(() => Math.max(1, b.unrooted)));
	let lookedAtRoots = $state(true);
	let ball = $state<number | null>(null);
	const short = $derived(shortMeasure(data.garden.units));
	const potOn = $derived(potFor(short.from(ball ?? 0), data.pots));

	// New counts fill the fields, but never over what was typed.
	let filled = untrack(() => ({ alive: b.inHand, rooted: rootedNow }));
	$effect.pre(() => {
		const counts = { alive: b.inHand, rooted: rootedNow };
		untrack(() => {
			if (alive === filled.alive) alive = counts.alive;
			if (rooted === filled.rooted) rooted = counts.rooted;
			filled = counts;
		});
	});
</script>

<EntryForm
	action=""
	submit={verb === 'struck' ? 'Struck' : verb === 'dropped' ? 'Drop it' : 'Log it'}
	today={data.garden.today}
	seen={b}
	dated={verb !== 'dropped'}
	{ondone}
>
	<input type="hidden" name="verb" value={verb} />
	{#if verb === 'struck'}
		{#each data.hazards as h (h.what)}<Note tone="harm">
				<strong>{h.what}:</strong>
				{h.say}
			</Note>{/each}
		{#each data.way.cautions as c (c)}<Note tone="harm">{c}</Note>{/each}
		<StrikeFields count={b.plannedCount} places={data.places} placeId={b.placeId} way={data.way} pieces={data.way.pieces} />
	{:else if verb === 'checked'}
		<Stepper
			label="Alive"
			name="alive"
			bind:value={alive}
			max={b.inHand}
			hint="{b.inHand} at the last count. What is missing counts as lost."
		/>
		{#if b.unrooted > 0}
			<Checkbox name="looked_at_roots" bind:checked={lookedAtRoots}>I looked for roots, so none seen means none yet</Checkbox>
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
			<span class="mb-1 block font-semibold">Root ball across, {short.unit}</span>
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
		{#key potOn.pot?.id}<Field label="Into" name="container" value={potOn.pot?.name ?? data.potIn} maxlength={80} />{/key}
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
				items={[...(b.inHand > 0 ? [{ value: 'hand', name: 'those in hand' }] : []), { value: 'planted', name: 'those planted' }]}
			/>{/if}
		<SelectField
			label="What took them"
			name="cause"
			value=""
			items={[{ value: '', name: 'not known' }, ...CAUSES.map((c) => ({ value: c, name: CAUSE_WORDS[c] }))]}
		/>
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
