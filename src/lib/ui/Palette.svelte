<script lang="ts">
	import { texts } from '$lib/messages/common.js';
	import Note from '$lib/ui/Note.svelte';
	/** Jump to any screen, kind, stock, want, batch or code. Opened by Ctrl-K or the button. */
	import { goto } from '$app/navigation';
	import { tick } from 'svelte';
	import MiniSearch from 'minisearch';
	import Modal from 'flowbite-svelte/Modal.svelte';
	import { readCode } from '$lib/core/ledger/code.js';

	interface Item {
		id: string;
		title: string;
		what: string;
		href: string;
	}
	interface Props {
		open: boolean;
		base: string;
	}
	let { open = $bindable(false), base }: Props = $props();
	let items = $state<Item[]>([]);
	let index: MiniSearch<Item> | null = $state(null);
	let text = $state('');
	let chosen = $state(0);
	let loading: Promise<unknown> = Promise.resolve();
	let input = $state<HTMLInputElement | null>(null);

	$effect(() => {
		if (!open) return;
		text = '';
		chosen = 0;
		loading = fetch(`${base}/palette.json`)
			.then((r) => r.json())
			.then((body: { items: Item[] }) => {
				items = body.items;
				const made = new MiniSearch<Item>({
					fields: ['title', 'what'],
					storeFields: ['title', 'what', 'href'],
					searchOptions: { prefix: true, fuzzy: 0.2, boost: { title: 2 } }
				});
				made.addAll(items);
				index = made;
			})
			.catch(() => (items = []));
		setTimeout(() => input?.focus(), 50);
	});

	const code = $derived(readCode(text));
	const found = $derived.by((): Item[] => {
		if (!text.trim()) return items.filter((i) => i.what === 'screen');
		const byCode = code.ok ? items.filter((i) => i.title.startsWith(code.value)) : [];
		const rest = (index?.search(text).slice(0, 12) ?? []) as unknown as Item[];
		return [...byCode, ...rest.filter((r) => !byCode.some((b) => b.href === r.href))];
	});
	// A code misread from a stick is told so, whatever else is found by words like it.
	const codeLike = $derived(/^[0-9a-z]{3}[\s-]?[0-9a-z]$/i.test(text.trim()) && (/\d/.test(text) || found.length === 0));
	const misread = $derived(
		!codeLike
			? null
			: !code.ok
				? code.problem.sentence
				: items.some((i) => i.title.startsWith(code.value))
					? null
					: texts.noBatchOfThis
	);

	async function take(item: Item | undefined) {
		if (!item) return;
		open = false;
		await goto(item.href);
	}
	function byKey(e: KeyboardEvent) {
		if (e.key === 'ArrowDown') chosen = Math.min(found.length - 1, chosen + 1);
		else if (e.key === 'ArrowUp') chosen = Math.max(0, chosen - 1);
		else if (e.key === 'Enter') {
			// Typed faster than the list came: wait for it, then take what fits.
			void loading.then(tick).then(() => take(found[chosen]));
		} else return;
		e.preventDefault();
	}
</script>

<svelte:window
	onkeydown={(e) => {
		if ((e.ctrlKey || e.metaKey) && e.key.toLowerCase() === 'k') {
			e.preventDefault();
			open = !open;
		}
	}}
/>

<Modal bind:open title={texts.find} size="sm" outsideclose>
	<label class="block">
		<span class="sr-only">{texts.kindStockWantBatch}</span>
		<input
			bind:this={input}
			bind:value={text}
			onkeydown={byKey}
			oninput={() => (chosen = 0)}
			class="min-h-12 w-full border-edge bg-field text-ink focus:border-bottle focus:ring-0"
			placeholder={texts.kindStockWantBatchOr}
			role="combobox"
			aria-expanded="true"
			aria-controls="palette-list"
			aria-activedescendant={found[chosen] ? `palette-${chosen}` : undefined}
			autocomplete="off"
		/>
	</label>
	{#if misread}<Note role="status" tone="harm" class="text-madder">{misread}</Note>
	{:else if text.trim() && found.length === 0}<p role="status">{texts.nothingByThatName}</p>{/if}
	<ul id="palette-list" role="listbox" aria-label={texts.found} class="max-h-[50vh] overflow-y-auto">
		{#each found as item, i (item.href + item.what)}
			<li
				id="palette-{i}"
				role="option"
				aria-selected={i === chosen}
				class="flex min-h-12 cursor-pointer items-center justify-between gap-3 border-b border-rule px-2 {i === chosen
					? 'bg-primary-100'
					: ''}"
				onclick={() => take(item)}
				onkeydown={byKey}
			>
				<span>{item.title}</span><span class="note">{item.what}</span>
			</li>
		{/each}
	</ul>
</Modal>
