<script lang="ts">
	/** The pieces in their rows. A tap says rooted, a second one lost, a third takes it back. Shape and word, not colour alone. */
	import { texts } from '$lib/messages/bench.js';
	import type { Tray } from '$lib/core/ledger/tray.js';
	interface Props {
		tray: Tray;
		/** Cells newly rooted and lost, by number. */
		rooted?: number[];
		lost?: number[];
		readonly?: boolean;
	}
	let { tray, rooted = $bindable([]), lost = $bindable([]), readonly = false }: Props = $props();
	const WORD: Record<string, string> = {
		'.': texts.emptyWord,
		u: texts.notRootedYet,
		r: texts.rootedWord,
		p: texts.goneOn,
		x: texts.lostWord
	};
	const markOf = (i: number) => (lost.includes(i) ? 'x' : rooted.includes(i) ? 'r' : tray.cells[i]!);
	const isNew = (i: number) => lost.includes(i) || rooted.includes(i);
	function tap(i: number) {
		const was = tray.cells[i]!;
		const now = markOf(i);
		if (was !== 'u' && was !== 'r') return;
		rooted = rooted.filter((c) => c !== i);
		lost = lost.filter((c) => c !== i);
		if (was === 'u' && now === 'u') rooted = [...rooted, i];
		else if (now === 'r') lost = [...lost, i];
	}
	const letter = (i: number) => (tray.groups.length > 1 && tray.of[i]! >= 0 ? String.fromCharCode(65 + tray.of[i]!) : '');
	const small = $derived(tray.columns > 14);
</script>

<div class="overflow-x-auto pb-2">
	<div
		class="grid w-max gap-1 border border-ink bg-pane p-2"
		style:grid-template-columns="repeat({tray.columns}, {small ? '2rem' : '2.75rem'})"
		role="group"
		aria-label={texts.theTrayRowsOf(tray.rows, tray.columns)}
	>
		{#each tray.cells as _, i (i)}
			{@const mark = markOf(i)}
			<button
				type="button"
				class="cell {small ? 'h-8' : 'h-11'} {isNew(i) ? 'fresh' : ''}"
				disabled={readonly || !'ur'.includes(tray.cells[i]!)}
				aria-label={texts.rowPlace(
					Math.floor(i / tray.columns) + 1,
					(i % tray.columns) + 1,
					WORD[mark] ?? '',
					letter(i) ? `, ${tray.groups[tray.of[i]!]}` : ''
				)}
				onclick={() => tap(i)}
			>
				<svg viewBox="0 0 24 24" class="h-full w-full" aria-hidden="true">
					{#if mark === 'u'}<circle cx="12" cy="12" r="7" fill="none" stroke="currentColor" stroke-width="2" />
					{:else if mark === 'r'}<circle cx="12" cy="9" r="6" fill="currentColor" /><path
							d="M12 14v8M9 14l-3 7M15 14l3 7"
							stroke="currentColor"
							stroke-width="2"
							fill="none"
						/>
					{:else if mark === 'x'}<path d="M5 5l14 14M19 5L5 19" stroke="var(--color-madder)" stroke-width="2.5" />
					{:else if mark === 'p'}<path d="M6 12h12M13 7l5 5-5 5" stroke="var(--color-faded)" stroke-width="2" fill="none" />{/if}
				</svg>
				{#if letter(i)}<span class="letter">{letter(i)}</span>{/if}
			</button>
		{/each}
	</div>
</div>

<style>
	.cell {
		position: relative;
		background: var(--color-field);
		border: 1px solid var(--color-rule);
		color: var(--color-bottle);
		padding: 2px;
	}
	.fresh {
		border: 2px solid var(--color-catkin);
		background: var(--color-fresh);
	}
	.letter {
		position: absolute;
		right: 2px;
		bottom: 0;
		font-size: 0.75rem;
		line-height: 1;
		color: var(--color-ink);
	}
</style>
