<script lang="ts">
	/** Clocks that run: how long still, or that the time is up. */
	import TextAct from './TextAct.svelte';
	import { texts } from '$lib/messages/common.js';
	import { onMount } from 'svelte';
	import Timer from '@lucide/svelte/icons/timer';
	import { endClock } from './clocks.js';
	interface Props {
		clocks: { id: string; say: string; endsAt: number }[];
		/** Instant by the server when the page was made: the browser's clock may be off. */
		now: number;
		base: string;
	}
	let { clocks, now, base }: Props = $props();
	let passed = $state(0);
	onMount(() => {
		let began = performance.now();
		let from = now;
		const timer = setInterval(() => {
			if (from !== now) {
				from = now;
				began = performance.now();
			}
			passed = performance.now() - began;
		}, 1000);
		return () => clearInterval(timer);
	});
	const left = (endsAt: number) => endsAt - now - passed;
	const say = (ms: number) => {
		const minutes = Math.ceil(ms / 60_000);
		return minutes < 100
			? texts.min(minutes)
			: minutes < 2880
				? `${Math.round(minutes / 60)} h`
				: texts.days(Math.round(minutes / 1440));
	};
</script>

{#if clocks.length}
	<ul class="no-print mx-auto flex max-w-[1240px] flex-wrap gap-2 px-4 pt-3" aria-label={texts.clocks}>
		{#each clocks as c (c.id)}
			{@const ms = left(c.endsAt)}
			<li
				class="flex min-h-12 items-center gap-3 border {ms <= 0
					? 'border-2 border-catkin bg-[var(--color-fresh)]'
					: 'border-rule'} px-3"
			>
				<Timer size={20} aria-hidden="true" />
				<span><strong>{ms <= 0 ? texts.timeIsUp : say(ms)}</strong> · {c.say}</span>
				<TextAct class="px-1" onclick={() => endClock(base, c.id)}>{ms <= 0 ? texts.done : texts.stop}</TextAct>
			</li>
		{/each}
	</ul>
{/if}
