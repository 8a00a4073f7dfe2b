<script lang="ts">
	import { texts } from '$lib/messages/bench.js';
	import Note from '$lib/ui/Note.svelte';
	import Checkbox from 'flowbite-svelte/Checkbox.svelte';
	import { sayOffSeason } from '$lib/core/plan/troubleWords.js';
	import type { OffSeason } from '$lib/core/plan/offSeason.js';
	import Field from './Field.svelte';
	import SelectField from './SelectField.svelte';
	import Stepper from './Stepper.svelte';
	import { steady } from './steady.js';
	interface Props {
		count: number;
		places: { id: string; name: string }[];
		placeId: string | null;
		way: { medium: string; hormone: string; cover: string; container: string };
		pieces: [string, string];
		/** What speaks against so many today: what the plant gives now, and the season. */
		limits?: { gives: number; off: OffSeason | null; chance: number } | null;
	}
	let { count, places, placeId, way, pieces, limits = null }: Props = $props();
	const given = $derived.by(steady(() => count));
	let struck = $derived(given);
</script>

<Stepper label={texts.howManyStruck(pieces[1])} name="struck" bind:value={struck} min={1} />
{#if limits?.off && struck > 0}<Note tone="now">{sayOffSeason(limits.off, struck, limits.chance)}</Note>{/if}
{#if limits && struck > limits.gives}<Note tone="now">
		{texts.moreThanThatSets(limits.gives === 0 ? texts.thePlantHasNothing : texts.thePlantCanGive(limits.gives))}
	</Note>{/if}
<SelectField
	label={texts.whereTheyStand}
	name="place_id"
	value={placeId ?? ''}
	items={[{ value: '', name: texts.noPlaceYet }, ...places.map((p) => ({ value: p.id, name: p.name }))]}
/>
<Field label={texts.inWord} name="container" value={way.container} maxlength={80} />
<Field label={texts.medium} name="medium" value={way.medium} maxlength={120} />
<div class="grid gap-4 sm:grid-cols-2">
	<Field label={texts.hormone} name="hormone" value={way.hormone} maxlength={120} hint={texts.whatYouUsedNot} />
	<Field label={texts.cover} name="cover" value={way.cover} maxlength={120} />
</div>
<Checkbox name="wound">{texts.baseWounded}</Checkbox>
