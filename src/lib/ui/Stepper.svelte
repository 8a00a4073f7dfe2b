<script lang="ts">
	/** A count set by tapping: big buttons for wet hands, and a field that can be typed in. */
	import { Helper, Label } from 'flowbite-svelte';
	import Minus from '@lucide/svelte/icons/minus';
	import Plus from '@lucide/svelte/icons/plus';
	import { problemFor } from './form.js';

	interface Props {
		label: string;
		name: string;
		value?: number | null;
		min?: number;
		max?: number;
		step?: number;
		hint?: string;
		unit?: string;
	}
	let { label, name, value = $bindable(0), min = 0, max = 5000, step = 1, hint = '', unit = '' }: Props = $props();
	const uid = $props.id();
	const wrong = problemFor(() => name);
	const by = (n: number) => (value = Math.min(max, Math.max(min, (Number.isFinite(value) ? (value ?? 0) : 0) + n)));
</script>

<div>
	<Label for={uid} class="mb-1 block text-base font-semibold text-ink">{label}</Label>
	<div class="flex items-stretch">
		<button
			type="button"
			class="act w-14 px-0"
			aria-label="One less: {label}"
			onclick={() => by(-step)}
			disabled={(value ?? 0) <= min}
		>
			<Minus aria-hidden="true" />
		</button>
		<input
			id={uid}
			{name}
			bind:value
			type="number"
			inputmode="numeric"
			class="box box-count mx-1 text-center text-xl font-semibold"
			aria-invalid={wrong() ? 'true' : undefined}
			aria-describedby={hint || wrong() ? `${uid}-say` : undefined}
		/>
		<button
			type="button"
			class="act w-14 px-0"
			aria-label="One more: {label}"
			onclick={() => by(step)}
			disabled={(value ?? 0) >= max}
		>
			<Plus aria-hidden="true" />
		</button>
		{#if unit}<span class="ml-2 self-center text-faded">{unit}</span>{/if}
	</div>
	{#if wrong()}
		<Helper id="{uid}-say" class="mt-1 text-note text-madder">{wrong()}</Helper>
	{:else if hint}
		<Helper id="{uid}-say" class="mt-1 text-note text-faded">{hint}</Helper>
	{/if}
</div>
