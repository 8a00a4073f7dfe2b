<script lang="ts">
	/** One form for each thing that can be logged of a batch, filled with what is usual. */
	import { texts } from '$lib/messages/bench.js';
	import Checkbox from 'flowbite-svelte/Checkbox.svelte';
	import Input from 'flowbite-svelte/Input.svelte';
	import { untrack } from 'svelte';
	import { CAUSE_WORDS, CAUSES } from '$lib/core/ledger/causes.js';
	import { SIGNS } from '$lib/core/ledger/signs.js';
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
	const places = $derived([{ value: '', name: texts.asItIs }, ...data.places.map((p) => ({ value: p.id, name: p.name }))]);

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
	submit={verb === 'struck' ? texts.struck3 : verb === 'dropped' ? texts.dropIt : texts.logIt}
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
		<Stepper label={texts.alive} name="alive" bind:value={alive} max={b.inHand} hint={texts.atTheLastCount(b.inHand)} />
		{#if b.unrooted > 0}
			<Checkbox name="looked_at_roots" bind:checked={lookedAtRoots}>{texts.iLookedForRoots}</Checkbox>
			{#if lookedAtRoots}<Stepper
					label={texts.ofTheseRooted}
					name="rooted"
					bind:value={rooted}
					max={b.inHand}
					hint={data.way.signs}
				/>{/if}
		{/if}
		<SelectField
			label={texts.signSeen}
			name="sign"
			value="none"
			items={SIGNS.map((s) => ({ value: s, name: s === 'none' ? texts.noneInParticular : s }))}
		/>
		{#if b.unrooted > 0 && !lookedAtRoots}
			<div class="grid gap-4 sm:grid-cols-2">
				<Stepper label={texts.showingIt} name="showing" bind:value={showing} max={b.inHand} />
				<Stepper label={texts.ofSoManyLooked} name="looked" bind:value={looked} min={1} max={b.inHand} />
			</div>
		{/if}
	{:else if verb === 'potted'}
		<Stepper label={texts.howMany} name="count" bind:value={count} min={1} max={b.inHand} />
		<label class="block">
			<span class="mb-1 block font-semibold">{texts.rootBallAcross(short.unit)}</span>
			<Input
				type="number"
				min="0"
				step="0.5"
				class="max-w-28"
				bind:value={() => ball ?? undefined, (v) => (ball = numberOf(v))}
			/>
			<span class="note mt-1 block">{ball ? potOn.say : texts.measuredItChoosesThe}</span>
		</label>
		{#key potOn.pot?.id}<Field label={texts.into} name="container" value={potOn.pot?.name ?? data.potIn} maxlength={80} />{/key}
		<SelectField label={texts.whereTheyStandNow} name="place_id" items={places} />
	{:else if verb === 'wintered'}
		<input type="hidden" name="after" value={b.trouble?.frost ? 'frost' : 'winter'} />
		<Stepper label={texts.cameThroughAlive} name="alive" bind:value={alive} max={b.inHand} hint={texts.wentIn(b.inHand)} />
	{:else if verb === 'planted'}
		<Stepper label={texts.howMany} name="count" bind:value={count} min={1} max={b.inHand} />
		<SelectField label={texts.where} name="place_id" value={data.want?.placeId ?? ''} items={places} />
	{:else if verb === 'moved'}
		<SelectField
			label={texts.to}
			name="place_id"
			value={b.placeId ?? ''}
			items={data.places.map((p) => ({ value: p.id, name: p.name }))}
		/>
	{:else if verb === 'meant'}
		<SelectField
			label={texts.whichWantItIs}
			name="want_id"
			value={data.want?.id ?? ''}
			items={[{ value: '', name: texts.forNone }, ...data.wants.map((w) => ({ value: w.id, name: w.name }))]}
		/>
		<p class="note">{texts.partOfItOnly}</p>
	{:else if verb === 'lost'}
		<Stepper label={texts.howMany} name="count" bind:value={count} min={1} max={Math.max(b.inHand, standing)} />
		{#if standing > 0}<SelectField
				label={texts.from3}
				name="from"
				value={b.inHand > 0 ? 'hand' : 'planted'}
				items={[
					...(b.inHand > 0 ? [{ value: 'hand', name: texts.thoseInHand }] : []),
					{ value: 'planted', name: texts.thosePlanted }
				]}
			/>{/if}
		<SelectField
			label={texts.whatTookThem}
			name="cause"
			value=""
			items={[{ value: '', name: texts.notKnown }, ...CAUSES.map((c) => ({ value: c, name: CAUSE_WORDS[c] }))]}
		/>
		<Field label={texts.why} name="why" placeholder={texts.rotDroughtSlugs} maxlength={200} />
	{:else if verb === 'given'}
		<Stepper label={texts.howMany} name="count" bind:value={count} min={1} max={b.inHand} />
		<Field label={texts.to} name="to" maxlength={80} />
	{:else if verb === 'kept'}
		<Stepper label={texts.howMany} name="count" bind:value={count} min={1} max={b.inHand} hint={texts.theyBecomeStockWith} />
		<SelectField
			label={texts.whereTheyStand}
			name="place_id"
			value={b.placeId ?? ''}
			items={[{ value: '', name: texts.noPlaceYet }, ...data.places.map((p) => ({ value: p.id, name: p.name }))]}
		/>
	{:else if verb === 'split'}
		<Stepper
			label={texts.howManySplitOff}
			name="count"
			bind:value={count}
			min={1}
			max={b.inHand - 1}
			hint={texts.theFurthestOnGo}
		/>
		<SelectField label={texts.whereTheNewBatch} name="place_id" items={places} />
	{:else if verb === 'dropped'}
		<Field label={texts.why} name="why" maxlength={200} />
	{/if}
</EntryForm>
