<script lang="ts">
	import Input from 'flowbite-svelte/Input.svelte';
	import Label from 'flowbite-svelte/Label.svelte';
	import Says from './Says.svelte';
	import { problemFor } from './form.js';

	interface Props {
		label: string;
		name: string;
		type?: 'text' | 'number' | 'password' | 'search';
		value?: string | number;
		unit?: string;
		hint?: string;
		required?: boolean;
		/** Typed with a numeric keyboard, yet free text: a comma is welcome. */
		numeric?: boolean;
		maxlength?: number;
		placeholder?: string;
		autocomplete?: 'off' | 'current-password';
	}
	let {
		label,
		name,
		type = 'text',
		value = $bindable(''),
		unit = '',
		hint = '',
		required = false,
		numeric = false,
		maxlength = 200,
		placeholder = '',
		autocomplete = 'off'
	}: Props = $props();
	const uid = $props.id();
	const wrong = problemFor(() => name);
</script>

<div>
	<Label for={uid}>{label}</Label>
	<div class="flex items-center gap-2">
		<Input
			id={uid}
			{name}
			{type}
			{required}
			{maxlength}
			{placeholder}
			{autocomplete}
			bind:value
			inputmode={numeric ? 'decimal' : undefined}
			aria-invalid={wrong() ? 'true' : undefined}
			aria-describedby={hint || wrong() ? `${uid}-say` : undefined}
		/>
		{#if unit}<span class="shrink-0 text-faded">{unit}</span>{/if}
	</div>
	<Says id="{uid}-say" wrong={wrong()} {hint} />
</div>
