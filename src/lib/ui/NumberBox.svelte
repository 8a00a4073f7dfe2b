<script lang="ts">
	import Input from 'flowbite-svelte/Input.svelte';
	/** A number typed on the spot, reckoned with at once; not part of a form that is sent. */
	import { numberOf } from './form.js';

	interface Props {
		label: string;
		value: number | null;
		min?: number;
		max?: number;
		step?: number;
		unit?: string;
		narrow?: boolean;
		class?: string;
	}
	let { label, value = $bindable(), min = 0, max, step, unit = '', narrow = false, class: cls = '' }: Props = $props();
</script>

<label class="block {cls}">
	<span class="block font-semibold">{label}</span>
	<span class="flex items-center gap-1">
		<Input
			type="number"
			{min}
			{max}
			{step}
			class={narrow ? 'max-w-24' : ''}
			bind:value={() => value ?? undefined, (v) => (value = numberOf(v))}
		/>
		{#if unit}<span class="text-faded">{unit}</span>{/if}
	</span>
</label>
