<script lang="ts">
	import { texts } from '$lib/messages/common.js';
	import Label from 'flowbite-svelte/Label.svelte';
	import { sayDate } from '$lib/core/dates.js';
	import DayInput from './DayInput.svelte';
	import Says from './Says.svelte';
	import { problemFor } from './form.js';

	interface Props {
		label: string;
		name: string;
		/** YYYY-MM-DD; empty while what stands there is no day. */
		value?: string | undefined;
		hint?: string;
	}
	let { label, name, value = $bindable(''), hint = '' }: Props = $props();
	const uid = $props.id();
	const refused = problemFor(() => name);
	let unread = $state(false);
	const wrong = $derived(refused() ?? (unread ? texts.thatIsNoDay(sayDate('2027-05-01')) : null));
</script>

<div>
	<Label for={uid} id="{uid}-label">{label}</Label>
	<DayInput
		id={uid}
		{name}
		about="{uid}-label"
		bind:value
		bind:unread
		aria-invalid={wrong ? 'true' : undefined}
		aria-describedby={hint || wrong ? `${uid}-say` : undefined}
	/>
	<Says id="{uid}-say" {wrong} {hint} />
</div>
