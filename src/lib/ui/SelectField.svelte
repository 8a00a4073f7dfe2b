<script lang="ts">
	import Label from 'flowbite-svelte/Label.svelte';
	import Select from 'flowbite-svelte/Select.svelte';
	import Says from './Says.svelte';
	import { problemFor } from './form.js';

	interface Props {
		label: string;
		name: string;
		items: { value: string; name: string }[];
		value?: string;
		hint?: string;
		placeholder?: string;
	}
	let { label, name, items, value = $bindable(''), hint = '', placeholder = '' }: Props = $props();
	const uid = $props.id();
	const wrong = problemFor(() => name);
</script>

<div>
	<Label for={uid}>{label}</Label>
	<Select
		id={uid}
		{name}
		{items}
		bind:value
		{placeholder}
		aria-invalid={wrong() ? 'true' : undefined}
		aria-describedby={hint || wrong() ? `${uid}-say` : undefined}
	/>
	<Says id="{uid}-say" wrong={wrong()} {hint} />
</div>
