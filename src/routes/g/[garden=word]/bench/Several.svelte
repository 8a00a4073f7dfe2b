<script lang="ts">
	/** What can be done to all batches that were chosen: it stands at hand while they are being chosen. */
	import { texts } from '$lib/messages/bench.js';
	import Act from '$lib/ui/Act.svelte';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import { plural } from '$lib/ui/say.js';
	import type { ShownBatch } from '$lib/server/views/bench.js';

	interface Props {
		chosen: readonly ShownBatch[];
		places: readonly { id: string; name: string }[];
		base: string;
		today: string;
		ondone: () => void;
	}
	let { chosen, places, base, today, ondone }: Props = $props();
	let moving = $state(false);
	const none = $derived(chosen.length === 0);
	const growing = $derived(chosen.filter((b) => b.status === 'growing').length);
</script>

{#snippet batches()}
	{#each chosen as b (b.id)}<input type="hidden" name="chosen" value="{b.id} {b.version}" />{/each}
{/snippet}

<section class="sticky bottom-20 z-20 mt-4 border border-ink bg-pane p-3 md:bottom-2" aria-label={texts.chosenBatches}>
	<div class="flex flex-wrap items-center gap-x-4 gap-y-2">
		<p class="min-w-32 text-lg font-semibold" role="status">
			{none ? texts.noneChosenYet : texts.chosen(plural(chosen.length, texts.batches))}
		</p>
		{#if growing}
			<EntryForm action="?/several" submit={texts.allWell} {today} dated={false} noted={false} quiet {ondone}>
				<input type="hidden" name="verb" value="checked" />{@render batches()}
			</EntryForm>
			<Act aria-expanded={moving} onclick={() => (moving = !moving)}>{texts.move}</Act>
		{/if}
		{#if !none}<Act href="{base}/labels?codes={chosen.map((b) => b.code).join(',')}">{texts.labels}</Act>{/if}
		<Act class="ml-auto" onclick={ondone}>{texts.chooseNoMore}</Act>
	</div>
	{#if moving && growing}
		<div class="mt-3 max-w-md">
			<EntryForm action="?/several" submit={texts.move2(growing)} {today} noted={false} {ondone}>
				<input type="hidden" name="verb" value="moved" />{@render batches()}
				<SelectField
					label={texts.whereTo}
					name="place_id"
					value={places[0]?.id ?? ''}
					items={places.map((p) => ({ value: p.id, name: p.name }))}
				/>
			</EntryForm>
		</div>
	{/if}
</section>
