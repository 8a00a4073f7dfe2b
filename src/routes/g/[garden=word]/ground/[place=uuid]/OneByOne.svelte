<script lang="ts">
	/** Outdoors with the tape: one number at a time, large, each asked for in words. */
	import { texts } from '$lib/messages/ground.js';
	import Input from 'flowbite-svelte/Input.svelte';
	import Label from 'flowbite-svelte/Label.svelte';
	import { tick } from 'svelte';
	import Act from '$lib/ui/Act.svelte';

	interface Props {
		/** Lines of two numbers, as they are typed. */
		rows: string;
		unit: string;
		read: (typed: string) => number | null;
		ondone: () => void;
	}
	let { rows = $bindable(), unit, read, ondone }: Props = $props();
	const numbers = $derived(
		rows
			.trim()
			.split(/[\s;]+/)
			.filter((t) => t !== '')
	);
	let typed = $state('');
	let wrong = $state('');
	let field = $state<HTMLDivElement>();
	const corner = $derived(Math.floor(numbers.length / 2) + 1);
	const from = $derived(numbers.length % 2 === 0 ? 'left' : 'right');
	const uid = $props.id();
	const write = (all: readonly string[]) => {
		rows = all.reduce((text, n, i) => text + (i === 0 ? '' : i % 2 === 0 ? '\n' : '  ') + n, '');
	};
	async function next() {
		const metres = read(typed);
		wrong = !(metres !== null && metres >= 0) ? texts.aLengthInAs(unit) : '';
		if (wrong) return;
		write([...numbers, typed.trim()]);
		typed = '';
		await tick();
		field?.querySelector('input')?.focus();
	}
	function back() {
		typed = numbers.at(-1) ?? '';
		wrong = '';
		write(numbers.slice(0, -1));
	}
</script>

<div class="border-l-4 border-catkin pl-4" bind:this={field} role="group" aria-label={texts.oneNumberAtATime}>
	<Label for={uid} class="text-2xl font-semibold">{texts.cornerFromThePoint(corner, from)}</Label>
	<div class="mt-2 flex items-center gap-3">
		<Input
			id={uid}
			inputmode="decimal"
			autocomplete="off"
			class="h-20 text-center text-4xl"
			bind:value={typed}
			aria-describedby={wrong ? `${uid}-say` : undefined}
			aria-invalid={wrong ? 'true' : undefined}
			onkeydown={(e) => {
				if (e.key !== 'Enter') return;
				e.preventDefault();
				void next();
			}}
		/>
		<span class="text-2xl">{unit}</span>
	</div>
	{#if wrong}<p id="{uid}-say" class="mt-1 text-madder" role="alert">{wrong}</p>{/if}
	<div class="mt-3 flex flex-wrap gap-3">
		<Act main onclick={() => void next()}>{texts.nextNumber}</Act>
		<Act onclick={back} disabled={numbers.length === 0}>{texts.backOne}</Act>
		<Act onclick={ondone}>{texts.thatWasTheLast}</Act>
	</div>
	<p class="note mt-2">
		{texts.soFar(Math.floor(numbers.length / 2), numbers.length >= 2 && numbers.length < 4 ? texts.corner : texts.corners)}
	</p>
</div>
