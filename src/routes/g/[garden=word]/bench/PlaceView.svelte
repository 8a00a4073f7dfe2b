<script lang="ts">
	/** What stands where: every place in walking order, its trays and pots to scale, what needs a look marked. */
	import { texts } from '$lib/messages/bench.js';
	import MoreRows from '$lib/ui/MoreRows.svelte';
	import type { ShownBatch } from '$lib/server/views/bench.js';
	interface Props {
		batches: ShownBatch[];
		shelves: { id: string; name: string; roomCm2: number | null; usedCm2: number; inAll: number }[];
		rows: number;
		day: number;
		base: string;
	}
	let { batches, shelves, rows, day, base }: Props = $props();
	/** Pixels for a centimetre: a seed tray is as wide as a thumb is long. */
	const PX = 2.2;
	const MOST_DRAWN = 30;
	const drawn = $derived(shelves.map((p) => ({ ...p, here: batches.filter((b) => (b.placeId ?? '') === p.id) })));
	const side = (cm2: number) => Math.max(10, Math.sqrt(cm2) * PX);
	const asks = (b: ShownBatch) => b.next !== null && b.next.from <= day;
</script>

{#each drawn as p (p.id)}
	<section class="mt-6 border-t border-ink pt-2">
		<div class="flex flex-wrap items-baseline justify-between gap-3">
			<h2>{p.name}</h2>
			{#if p.roomCm2}<p class="note">{texts.ofItsRoomIn(Math.round((100 * p.usedCm2) / p.roomCm2))}</p>{/if}
		</div>
		<ul class="mt-3 flex flex-wrap items-end gap-x-6 gap-y-4">
			{#each p.here as b (b.id)}
				<li class="max-w-full">
					<a href="{base}/bench/{b.id}" class="block text-ink hover:bg-pane">
						<span class="flex max-w-[22rem] flex-wrap items-end gap-0.5" aria-hidden="true">
							{#each { length: Math.min(MOST_DRAWN, b.holds.count) } as _, i (i)}<span
									class="vessel {asks(b) ? 'asks' : ''} {b.potted > 0 ? 'potted' : b.rooted > 0 ? 'rooted' : ''}"
									style:width="{side(b.holds.areaCm2)}px"
									style:height="{side(b.holds.areaCm2)}px"
								></span>{/each}{#if b.holds.count > MOST_DRAWN}<span class="note"
									>{texts.andMore(b.holds.count - MOST_DRAWN)}</span
								>{/if}
						</span>
						<span class="mt-1 block leading-tight"
							><span class="border border-ink px-1 font-mono">{b.code}</span>
							<span class="font-semibold">{b.kindName}{b.form ? `, ${b.form}` : ''}</span></span
						>
						<span class="note block first-letter:uppercase"
							>{b.holds.open
								? texts.inThe(b.holds.count, b.holds.name.replace(/^the /, ''))
								: `${b.holds.count} × ${b.holds.name}`} · {b.trouble
								? b.trouble.word
								: b.rooting
									? b.rooting.word
									: b.potted > 0
										? texts.potted
										: texts.rooted}{asks(b) ? texts.asksForYouNow : ''}</span
						>
					</a>
				</li>
			{/each}
		</ul>
		<MoreRows {rows} hidden={p.inAll - p.here.length} of={[texts.batchHere, texts.batchesHere]} step={20} />
	</section>
{/each}
<p class="note mt-6">
	{texts.toScaleFromAbove}
</p>

<style>
	.vessel {
		display: inline-block;
		border: 1.5px solid var(--color-bottle);
		background: var(--color-field);
	}
	.rooted {
		background: linear-gradient(to top, var(--color-leaf) 50%, var(--color-field) 50%);
	}
	.potted {
		background: var(--color-leaf);
	}
	.asks {
		outline: 4px solid var(--color-catkin);
		outline-offset: 0;
	}
</style>
