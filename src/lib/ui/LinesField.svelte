<script lang="ts">
	/** Numbers, one row a line. */
	import Label from 'flowbite-svelte/Label.svelte';
	import Textarea from 'flowbite-svelte/Textarea.svelte';
	import Says from './Says.svelte';
	import { problemFor } from './form.js';

	interface Props {
		label: string;
		name: string;
		value: string;
		hint: string;
		rows?: number;
	}
	let { label, name, value = $bindable(''), hint, rows = 6 }: Props = $props();
	const uid = $props.id();
	const wrong = problemFor(() => name);
</script>

<div>
	<Label for={uid}>{label}</Label>
	<Textarea
		id={uid}
		{name}
		{rows}
		maxlength={9000}
		class="w-full"
		bind:value
		aria-invalid={wrong() ? 'true' : undefined}
		aria-describedby="{uid}-say"
	/>
	<Says id="{uid}-say" wrong={wrong()} {hint} />
</div>
