<script lang="ts">
	import { texts } from '$lib/messages/garden.js';
	import Fold from '$lib/ui/Fold.svelte';
	import Chip from '$lib/ui/Chip.svelte';
	import ArchiveIn from '$lib/ui/ArchiveIn.svelte';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import GardenFields from '$lib/ui/GardenFields.svelte';
	import { STARTING_PLACES } from '$lib/ui/startingPlaces.js';
	import type { PageData } from './$types';
	let { data }: { data: PageData } = $props();
	const USUAL = new Set(['sill', 'bench', 'bed', 'nursery_row']);
	const blank = {
		name: texts.ourGarden,
		place: '',
		latitude: null,
		longitude: null,
		height_m: 50,
		units: 'metric' as const,
		temperature: 'C' as const,
		currency: 'EUR',
		coldest_c: null,
		last_frost: null,
		first_frost: null,
		minutes_per_week: 90,
		away: [],
		guessed: []
	};
</script>

<svelte:head><title>{texts.aGardenSurculus}</title></svelte:head>
<main class="mx-auto max-w-2xl px-4 py-8">
	<p class="font-head text-xl font-semibold">Surculus</p>
	<h1 class="mt-4">{texts.whereIsTheGarden}</h1>
	<p class="mt-2 max-w-prose">
		{texts.sayWhatYouWant}
	</p>
	<div class="mt-6">
		<EntryForm action="" submit={texts.begin} today={data.today} dated={false} noted={false}>
			<GardenFields start={blank} year={Number(data.today.slice(0, 4))} brief />
			<fieldset class="border-t border-ink pt-3">
				<legend class="float-left mb-2 w-full font-head text-xl font-semibold">{texts.placesYouHaveFor}</legend>
				<div class="clear-both flex flex-wrap gap-2">
					{#each STARTING_PLACES as p (p.kind)}
						<Chip type="checkbox" name="places" value={p.kind} checked={USUAL.has(p.kind)}>{p.name}</Chip>
					{/each}
				</div>
				<p class="note mt-2">{texts.roomsAndTemperaturesStart}</p>
			</fieldset>
		</EntryForm>
		<Fold label={texts.orBringOneIn} class="mt-10 border-t border-ink pt-3">
			<p class="mt-1 mb-3 max-w-prose">
				{texts.everythingThatWasEver}
			</p>
			<ArchiveIn />
		</Fold>
		{#if data.others}<p class="mt-6"><a href="/">{texts.backToTheGarden}</a></p>{/if}
	</div>
</main>
