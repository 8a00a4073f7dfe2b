<script lang="ts">
	/** Weeks in which nothing is to be struck, and what the plan may cost. */
	import { goto } from '$app/navigation';
	import Act from '$lib/ui/Act.svelte';
	import DayInput from '$lib/ui/DayInput.svelte';
	import Fold from '$lib/ui/Fold.svelte';
	import NumberBox from '$lib/ui/NumberBox.svelte';
	import { sayDate } from '$lib/core/dates.js';
	import { sayMoney } from '$lib/core/numbers.js';
	import { aimAddress } from './says.js';
	import type { Choice } from './says.js';

	interface Props {
		choice: Choice;
		base: string;
		currency: string;
		today: string;
	}
	let { choice, base, currency, today }: Props = $props();
	const id = $props.id();
	let from = $state('');
	let to = $state('');
	let spend = $derived<number | null>(choice.spend);
	const wrong = $derived(
		from && to && to < from ? 'The last day comes before the first.' : to && to < today ? 'Those days have gone by.' : ''
	);
	const go = (to: Choice) => goto(aimAddress(base, to), { noScroll: true });
	const days = (span: string) =>
		span
			.split('~')
			.map((day) => sayDate(day))
			.join(' to ');
</script>

{#each choice.off as span (span)}
	<p class="mt-3">
		Nothing is struck from {days(span)}.
		<a href={aimAddress(base, { ...choice, off: choice.off.filter((x) => x !== span) })}>Allow it again</a>
	</p>
{/each}
{#if choice.spend !== null}
	<p class="mt-3">
		It may cost {sayMoney(choice.spend, currency)} at most.
		<a href={aimAddress(base, { ...choice, spend: null })}>Without that limit</a>
	</p>
{/if}
<Fold label="Days to keep free, or money to keep to" class="mt-3">
	<div class="flex flex-wrap items-end gap-3">
		<div>
			<label class="block font-semibold" for="{id}-from" id="{id}-from-label">Nothing is struck from</label>
			<DayInput id="{id}-from" bind:value={from} class="w-44" about="{id}-from-label" />
		</div>
		<div>
			<label class="block font-semibold" for="{id}-to" id="{id}-to-label">to</label>
			<DayInput id="{id}-to" bind:value={to} class="w-44" about="{id}-to-label" />
		</div>
		<Act
			disabled={!from || !to || wrong !== '' || choice.off.length >= 20}
			onclick={() => go({ ...choice, off: [...choice.off, `${from}~${to}`] })}>Plan around those days</Act
		>
	</div>
	{#if wrong}<p class="mt-1 text-madder" role="alert">{wrong}</p>{/if}
	<div class="mt-3 flex flex-wrap items-end gap-3">
		<NumberBox label="All that is new may cost" bind:value={spend} min={0} max={100_000} narrow />
		<Act disabled={spend === null || spend === choice.spend} onclick={() => go({ ...choice, spend })}>Keep to it</Act>
	</div>
	<p class="note mt-2">Pots and mix for what the plan strikes; what grows already is not counted.</p>
</Fold>
