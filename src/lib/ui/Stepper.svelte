<script lang="ts">
	import { texts } from '$lib/messages/common.js';
	import Act from '$lib/ui/Act.svelte';
	/** A count set by tapping: big buttons for wet hands, and a field that can be typed in. */
	import Input from 'flowbite-svelte/Input.svelte';
	import Label from 'flowbite-svelte/Label.svelte';
	import Minus from '@lucide/svelte/icons/minus';
	import Plus from '@lucide/svelte/icons/plus';
	import Says from './Says.svelte';
	import { numberOf, problemFor } from './form.js';

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
	<Label for={uid}>{label}</Label>
	<div class="flex items-stretch">
		<Act
			type="button"
			class="w-14 shrink-0 px-0"
			aria-label={texts.oneLess(label)}
			onclick={() => by(-step)}
			disabled={(value ?? 0) <= min}
		>
			<Minus aria-hidden="true" />
		</Act>
		<Input
			id={uid}
			{name}
			bind:value={() => value ?? undefined, (v) => (value = numberOf(v))}
			type="number"
			inputmode="numeric"
			class="mx-1 max-w-28 text-center text-xl font-semibold"
			aria-invalid={wrong() ? 'true' : undefined}
			aria-describedby={hint || wrong() ? `${uid}-say` : undefined}
		/>
		<Act
			type="button"
			class="w-14 shrink-0 px-0"
			aria-label={texts.oneMore(label)}
			onclick={() => by(step)}
			disabled={(value ?? 0) >= max}
		>
			<Plus aria-hidden="true" />
		</Act>
		{#if unit}<span class="ml-2 self-center text-faded">{unit}</span>{/if}
	</div>
	<Says id="{uid}-say" wrong={wrong()} {hint} />
</div>
