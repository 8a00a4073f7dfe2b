<script lang="ts">
	/** The garden's places in the order of the walk; one is changed or added in place. */
	import { texts } from '$lib/messages/garden.js';
	import Act from '$lib/ui/Act.svelte';
	import { sayArea, sayTemperature } from '$lib/core/units/index.js';
	import { BODY_WORDS, LIGHT_WORDS, PLACE_WORDS } from '$lib/ui/say.js';
	import PlaceForm from './PlaceForm.svelte';
	import type { PageData } from './$types';

	let { places, units, today }: { places: PageData['places']; units: PageData['garden']['units']; today: string } = $props();
	let editing = $state<PageData['places'][number] | 'new' | null>(null);
	const edited = $derived(editing && editing !== 'new' ? editing : null);
</script>

<ul class="ruled mt-3 border-y border-ink">
	{#each places as p (p.id)}
		<li class="flex items-center justify-between gap-4 py-2">
			<div>
				<p class="font-semibold">{p.walk}. {p.name}</p>
				<p class="note">
					{p.body ? BODY_WORDS[p.body] : PLACE_WORDS[p.kind]}, {LIGHT_WORDS[p.light]}{p.low_c !== null || p.high_c !== null
						? texts.to2(
								p.low_c === null ? '' : sayTemperature(p.low_c, units),
								p.high_c === null ? '' : sayTemperature(p.high_c, units)
							)
						: ''}{p.room_cm2 !== null ? `, ${sayArea(p.room_cm2 / 10_000, units)}` : ''}
				</p>
			</div>
			<Act onclick={() => (editing = p)}>{texts.change}</Act>
		</li>
	{/each}
</ul>
<Act class="mt-3" onclick={() => (editing = 'new')}>{texts.addAPlace}</Act>
{#if editing}
	<div class="mt-4 border-t-4 border-catkin bg-pane p-4">
		<h3 class="mb-3">{edited ? edited.name : texts.aNewPlace}</h3>
		{#key edited?.id ?? 'new'}
			<PlaceForm {places} {edited} {units} {today} ondone={() => (editing = null)} />
		{/key}
	</div>
{/if}
