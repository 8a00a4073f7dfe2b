<script lang="ts">
	/** The plan being grown through many seasons: how far it is, to be stopped at any time; then what came of it. */
	import { texts } from '$lib/messages/plan.js';
	import Progressbar from 'flowbite-svelte/Progressbar.svelte';
	import { sayNumber } from '$lib/core/numbers.js';
	import Act from '$lib/ui/Act.svelte';
	import Note from '$lib/ui/Note.svelte';
	import { hear } from '$lib/ui/heard.js';
	import type { WantPlanned } from '$lib/server/jointView.js';
	import type { SimView } from '$lib/server/simView.js';
	import Seasons from './Seasons.svelte';

	interface Props {
		/** Where its events come from. */
		address: string;
		wants: readonly WantPlanned[];
	}
	let { address, wants }: Props = $props();

	type Told = { is: 'growing' } | { is: 'stopped' } | { is: 'told'; sim: SimView } | { is: 'sorry'; why: string };
	let told = $state.raw<Told>({ is: 'growing' });
	let grown = $state({ done: 0, of: 0 });
	let end = () => {};

	function begin(from: string) {
		end();
		told = { is: 'growing' };
		grown = { done: 0, of: 0 };
		end = hear(
			from,
			{
				grown: (now: typeof grown) => (grown = now),
				told: (sim: SimView) => (told = { is: 'told', sim }),
				sorry: ({ message }: { message: string }) => (told = { is: 'sorry', why: message })
			},
			['told', 'sorry'],
			() => (told = { is: 'sorry', why: texts.notGrownJustNow })
		);
	}
	function stop() {
		end();
		told = { is: 'stopped' };
	}
	$effect(() => {
		begin(address);
		return () => end();
	});
</script>

{#if told.is === 'told'}
	<Seasons sim={told.sim} {wants} />
{:else if told.is === 'growing'}
	<div class="mt-2 flex max-w-prose flex-wrap items-center gap-x-6 gap-y-2">
		<div class="grow basis-64">
			<p role="status">{texts.growingItTenThousand}</p>
			<p class="note" aria-hidden="true">{grown.done > 0 ? texts.done(sayNumber(grown.done)) : texts.readingThePlan}</p>
			<Progressbar progress={grown.of > 0 ? (100 * grown.done) / grown.of : 0} size="h-2" class="mt-1" aria-hidden="true" />
		</div>
		<Act onclick={stop}>{texts.stop}</Act>
	</div>
{:else if told.is === 'stopped'}
	<p class="mt-2">{texts.stoppedGrownToThe}</p>
	<p class="mt-2"><Act onclick={() => begin(address)}>{texts.growItAgain}</Act></p>
{:else}
	<Note tone="harm">{told.why}</Note>
	<p class="mt-2"><Act onclick={() => begin(address)}>{texts.tryAgain}</Act></p>
{/if}
