<script lang="ts">
	/** The plan being grown through many seasons: how far it is, to be stopped at any time; then what came of it. */
	import Progressbar from 'flowbite-svelte/Progressbar.svelte';
	import { sayNumber } from '$lib/core/numbers.js';
	import Act from '$lib/ui/Act.svelte';
	import Note from '$lib/ui/Note.svelte';
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
	let source: EventSource | undefined;

	function begin(from: string) {
		source?.close();
		told = { is: 'growing' };
		grown = { done: 0, of: 0 };
		source = new EventSource(from);
		const ends = (as: Told) => {
			source?.close();
			told = as;
		};
		source.addEventListener('grown', (e) => (grown = JSON.parse(e.data as string) as typeof grown));
		source.addEventListener('told', (e) => ends({ is: 'told', sim: JSON.parse(e.data as string) as SimView }));
		source.addEventListener('sorry', (e) =>
			ends({ is: 'sorry', why: (JSON.parse(e.data as string) as { message: string }).message })
		);
		// A connection that was lost is taken up again by the browser; one that was refused is not.
		source.addEventListener('error', () => {
			if (source?.readyState === EventSource.CLOSED) ends({ is: 'sorry', why: 'The seasons can’t be grown just now.' });
		});
	}
	function stop() {
		source?.close();
		told = { is: 'stopped' };
	}
	$effect(() => {
		begin(address);
		return () => source?.close();
	});
</script>

{#if told.is === 'told'}
	<Seasons sim={told.sim} {wants} />
{:else if told.is === 'growing'}
	<div class="mt-2 flex max-w-prose flex-wrap items-center gap-x-6 gap-y-2">
		<div class="grow basis-64">
			<p role="status">Growing it ten thousand times …</p>
			<p class="note" aria-hidden="true">{grown.done > 0 ? `${sayNumber(grown.done)} done` : 'Reading the plan …'}</p>
			<Progressbar progress={grown.of > 0 ? (100 * grown.done) / grown.of : 0} size="h-2" class="mt-1" aria-hidden="true" />
		</div>
		<Act onclick={stop}>Stop</Act>
	</div>
{:else if told.is === 'stopped'}
	<p class="mt-2">Stopped. Grown to the end, it tells how many stand when, and whether striking again would help.</p>
	<p class="mt-2"><Act onclick={() => begin(address)}>Grow it again</Act></p>
{:else}
	<Note tone="harm">{told.why}</Note>
	<p class="mt-2"><Act onclick={() => begin(address)}>Try again</Act></p>
{/if}
