<script lang="ts">
	/** One batch of the plan in hand: another day, another number, or left out. */
	import { texts } from '$lib/messages/plan.js';
	import Act from '$lib/ui/Act.svelte';
	import DayInput from '$lib/ui/DayInput.svelte';
	import NumberBox from '$lib/ui/NumberBox.svelte';
	import { daysRead } from '$lib/ui/daysRead.js';
	import { steady } from '$lib/ui/steady.js';
	import { sayDate } from '$lib/core/dates.js';
	import type { BatchPlanned } from '$lib/server/jointView.js';
	import { keyOf } from './says.js';

	interface Props {
		batch: BatchPlanned;
		name: string;
		busy: boolean;
		/** What ten more are worth. */
		more: Promise<string>;
		ontry: (on: string, pieces: number) => void;
		onleave: () => void;
		/** Not by this way at all. */
		onnever: () => void;
		onclose: () => void;
	}
	let { batch, name, busy, more, ontry, onleave, onnever, onclose }: Props = $props();
	const given = $derived.by(steady(() => ({ key: keyOf(batch), on: batch.on, pieces: batch.pieces })));
	let on = $derived(given.on);
	let pieces = $derived<number | null>(given.pieces);
	async function tried() {
		await daysRead();
		if (on && pieces) ontry(on, pieces);
	}
	const id = $props.id();
</script>

<div class="my-2 border-l-4 border-catkin bg-pane p-3">
	<p class="font-semibold">
		{texts.ofOn(
			batch.pieces,
			batch.pieces === 1 ? batch.piece[0] : batch.piece[1],
			name,
			batch.way.toLowerCase(),
			sayDate(batch.on)
		)}
	</p>
	<p class="note min-h-6" role="status">{#await more then says}{says}{/await}</p>
	<div class="mt-2 flex flex-wrap items-end gap-3">
		<NumberBox label={texts.howMany} bind:value={pieces} min={1} max={5000} narrow />
		<div>
			<label class="block font-semibold" for="{id}-day">{texts.on}</label>
			<DayInput id="{id}-day" bind:value={on} class="w-44" about="{id}-day" />
		</div>
		<Act main disabled={busy || !on || !pieces} onclick={tried}>{busy ? texts.workingItOut : texts.tryIt}</Act>
		<Act disabled={busy} onclick={onleave}>{texts.leaveItOut}</Act>
		<Act disabled={busy} onclick={onnever}>{texts.notByThisWay}</Act>
		<Act onclick={onclose}>{texts.close}</Act>
	</div>
</div>
