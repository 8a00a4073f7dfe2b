<script lang="ts" generics="T">
	/** A table in our look: its heads, and a row of cells for each thing. Wide ones scroll in themselves, by keys too. */
	import Table from 'flowbite-svelte/Table.svelte';
	import TableBody from 'flowbite-svelte/TableBody.svelte';
	import TableBodyRow from 'flowbite-svelte/TableBodyRow.svelte';
	import TableHead from 'flowbite-svelte/TableHead.svelte';
	import TableHeadCell from 'flowbite-svelte/TableHeadCell.svelte';
	import { reachable } from './reachable.js';
	import type { Snippet } from 'svelte';

	/** "Days", or with a second line, right-aligned for numbers, or only where there is room. */
	type Head = string | { name: string; note?: string; end?: boolean; wide?: boolean; silent?: boolean };
	interface Props {
		caption?: string;
		/** The caption is read out, not shown. */
		silent?: boolean;
		heads: readonly Head[];
		rows: readonly T[];
		key: (row: T) => string | number;
		/** The cells of a row: TableBodyCell, one for each head. */
		cells: Snippet<[T, number]>;
		class?: string;
	}
	let { caption, silent = false, heads, rows, key, cells, class: cls = '' }: Props = $props();
	const of = (h: Head) => (typeof h === 'string' ? { name: h } : h) as Exclude<Head, string>;
</script>

{#snippet captionSlot()}
	{#if caption}<caption class={silent ? 'sr-only' : 'pb-1 text-left font-semibold'}>{caption}</caption>{/if}
{/snippet}

<Table {captionSlot} class={cls} {@attach reachable}>
	<TableHead>
		{#each heads as h (of(h).name)}
			{@const { name, note, end, wide, silent: unseen } = of(h)}
			<TableHeadCell class="{end ? 'text-right' : ''} {wide ? 'hidden sm:table-cell' : ''}">
				<span class={unseen ? 'sr-only' : ''}>{name}</span>{#if note}<span class="block font-normal">{note}</span>{/if}
			</TableHeadCell>
		{/each}
	</TableHead>
	<TableBody>
		{#each rows as row, i (key(row))}
			<TableBodyRow>{@render cells(row, i)}</TableBodyRow>
		{/each}
	</TableBody>
</Table>
