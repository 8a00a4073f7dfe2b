<script lang="ts">
	/** Days on which nothing is to be struck, places in which nothing new is to stand, and what the plan may cost. */
	import { texts } from '$lib/messages/plan.js';
	import { goto } from '$app/navigation';
	import Act from '$lib/ui/Act.svelte';
	import DayInput from '$lib/ui/DayInput.svelte';
	import { daysRead } from '$lib/ui/daysRead.js';
	import { steady } from '$lib/ui/steady.js';
	import Fold from '$lib/ui/Fold.svelte';
	import NumberBox from '$lib/ui/NumberBox.svelte';
	import { sayDate } from '$lib/core/dates.js';
	import { sayMoney } from '$lib/core/numbers.js';
	import { aimAddress } from './says.js';
	import SelectField from '$lib/ui/SelectField.svelte';
	import type { PlaceNamed } from '$lib/server/jointView.js';
	import type { Choice } from './says.js';

	interface Props {
		choice: Choice;
		/** Places that new things may stand in. */
		rooms: readonly PlaceNamed[];
		base: string;
		currency: string;
		today: string;
	}
	let { choice, rooms, base, currency, today }: Props = $props();
	const id = $props.id();
	let from = $state('');
	let to = $state('');
	const kept = $derived.by(steady(() => choice.spend));
	let spend = $derived<number | null>(kept);
	const open = $derived(rooms.filter((room) => !choice.free.includes(room.id)));
	const firstOpen = $derived(open[0]?.id ?? '');
	let place = $derived(firstOpen);
	const wrong = $derived(from && to && to < from ? texts.theLastDayComes : to && to < today ? texts.thoseDaysHaveGone : '');
	async function around() {
		await daysRead();
		if (from && to && !wrong) await go({ ...choice, off: [...choice.off, `${from}~${to}`] });
	}
	const go = (to: Choice) => goto(aimAddress(base, to), { noScroll: true });
	const days = (span: string) =>
		span
			.split('~')
			.map((day) => sayDate(day))
			.join(` ${texts.to} `);
</script>

{#each choice.off as span (span)}
	<p class="mt-3">
		{texts.nothingIsStruckFrom(days(span))}
		<a href={aimAddress(base, { ...choice, off: choice.off.filter((x) => x !== span) })}>{texts.allowItAgain}</a>
	</p>
{/each}
{#each rooms.filter((room) => choice.free.includes(room.id)) as room (room.id)}
	<p class="mt-3">
		{texts.keptFree(room.name)}
		<a href={aimAddress(base, { ...choice, free: choice.free.filter((x) => x !== room.id) })}>{texts.allowItAgain}</a>
	</p>
{/each}
{#if choice.spend !== null}
	<p class="mt-3">
		{texts.itMayCostAt(sayMoney(choice.spend, currency))}
		<a href={aimAddress(base, { ...choice, spend: null })}>{texts.withoutThatLimit}</a>
	</p>
{/if}
<Fold label={texts.daysToKeepFree} class="mt-3">
	<div class="flex flex-wrap items-end gap-3">
		<div>
			<label class="block font-semibold" for="{id}-from" id="{id}-from-label">{texts.nothingIsStruckFrom2}</label>
			<DayInput id="{id}-from" bind:value={from} class="w-44" about="{id}-from-label" />
		</div>
		<div>
			<label class="block font-semibold" for="{id}-to" id="{id}-to-label">{texts.to}</label>
			<DayInput id="{id}-to" bind:value={to} class="w-44" about="{id}-to-label" />
		</div>
		<Act disabled={!from || !to || wrong !== '' || choice.off.length >= 20} onclick={around}>{texts.planAroundThoseDays}</Act>
	</div>
	{#if wrong}<p class="mt-1 text-madder" role="alert">{wrong}</p>{/if}
	{#if open.length}
		<div class="mt-3 flex flex-wrap items-end gap-3">
			<SelectField
				label={texts.aPlaceToKeep}
				name="place"
				bind:value={place}
				items={open.map((room) => ({ value: room.id, name: room.name }))}
			/>
			<Act disabled={choice.free.length >= 20} onclick={() => go({ ...choice, free: [...choice.free, place] })}
				>{texts.keepItFree}</Act
			>
		</div>
		<p class="note mt-1">{texts.whatStandsThereStays}</p>
	{/if}
	<div class="mt-3 flex flex-wrap items-end gap-3">
		<NumberBox label={texts.allThatIsNew} bind:value={spend} min={0} max={100_000} narrow />
		<Act disabled={spend === null || spend === choice.spend} onclick={() => go({ ...choice, spend })}>{texts.keepToIt}</Act>
	</div>
	<p class="note mt-2">{texts.potsAndMixFor}</p>
</Fold>
