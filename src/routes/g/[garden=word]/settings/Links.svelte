<script lang="ts">
	/** Addresses and tokens by which other devices read the round or send readings. */
	import { enhance } from '$app/forms';
	import { texts } from '$lib/messages/garden.js';
	import Act from '$lib/ui/Act.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Note from '$lib/ui/Note.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import type { ActionData, PageData } from './$types';

	let { links, form }: { links: PageData['links']; form: ActionData } = $props();
</script>

<h2 class="mt-10 text-2xl">{texts.linksAndSensors}</h2>
<p class="mt-1 text-faded">
	{texts.aThermometerMaySend}
</p>
{#if form?.link}
	<Note tone="now" class="mt-3 bg-pane py-3" role="status">
		<p class="font-semibold">
			{form.link.purpose === 'calendar' ? texts.subscribeToThisAddress : texts.sendThisTokenWith}
		</p>
		<p class="mt-1 font-mono break-all select-all">{form.link.secret}</p>
		<p class="note mt-1">{texts.itWillNotBe}</p>
	</Note>
{/if}
{#if form?.problem}<p role="alert" class="mt-3 text-madder">{form.problem.sentence}</p>{/if}
<ul class="ruled mt-3">
	{#each links as d (d.id)}
		<li class="flex flex-wrap items-center justify-between gap-3 py-2">
			<span
				><span class="font-semibold"
					>{d.purpose === 'calendar' ? texts.calendar : texts.readings}{d.label ? `, ${d.label}` : ''}</span
				>
				<span class="note">{texts.made(d.made, d.used ? texts.lastUsed(d.used) : texts.notUsedYet)}</span></span
			>
			<form method="POST" action="?/end" use:enhance>
				<input type="hidden" name="id" value={d.id} /><Act type="submit" aria-label={texts.end(d.purpose, d.label)}
					>{texts.endIt}</Act
				>
			</form>
		</li>
	{/each}
</ul>
<form method="POST" action="?/link" use:enhance class="mt-3 grid items-end gap-3 sm:grid-cols-[1.5fr_1fr_auto]">
	<SelectField
		label={texts.aNewOneFor}
		name="purpose"
		value="readings"
		items={[
			{ value: 'readings', name: texts.readingsOfThermometers },
			{ value: 'calendar', name: texts.theRoundInA }
		]}
	/>
	<Field label={texts.whatItIsFor} name="label" maxlength={80} placeholder={texts.garageSensor} />
	<Act type="submit">{texts.makeIt}</Act>
</form>
