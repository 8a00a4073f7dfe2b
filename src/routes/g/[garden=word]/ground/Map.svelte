<script lang="ts">
	/** Beds to and from other programs. */
	import { texts } from '$lib/messages/ground.js';
	import Fileupload from 'flowbite-svelte/Fileupload.svelte';
	import Label from 'flowbite-svelte/Label.svelte';
	import Act from '$lib/ui/Act.svelte';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import Fold from '$lib/ui/Fold.svelte';
	import Says from '$lib/ui/Says.svelte';

	interface Props {
		base: string;
		today: string;
		any: boolean;
	}
	let { base, today, any }: Props = $props();
	/** More is never beds alone: it is not read. */
	const MOST_BYTES = 2_000_000;
	let text = $state('');
	let large = $state(false);
	async function choose(files: FileList | null | undefined) {
		const file = files?.[0];
		large = (file?.size ?? 0) > MOST_BYTES;
		text = file && !large ? await file.text() : '';
	}
	const uid = $props.id();
</script>

<Fold label={texts.mapsBedsToAnd}>
	{#if any}<div class="my-3"><Act href="{base}/ground/beds.geojson" download>{texts.takeTheBedsAs}</Act></div>{/if}
	<EntryForm action="?/bring" submit={texts.bringTheseBedsIn} {today} noted={false} ondone={() => (text = '')}>
		<div>
			<Label for={uid}>{texts.geojsonWithAPolygon}</Label>
			<Fileupload
				id={uid}
				accept=".geojson,.json,application/geo+json,application/json"
				onchange={(e) => void choose((e.currentTarget as HTMLInputElement).files)}
			/>
			<Says id="{uid}-say" wrong={large ? texts.thatFileIsOver : null} hint={texts.oneWithTheName} />
		</div>
		<input type="hidden" name="geo" value={text} />
	</EntryForm>
</Fold>
