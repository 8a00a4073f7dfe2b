<script lang="ts">
	import { Toast } from 'flowbite-svelte';
	import { page } from '$app/state';
	import type { Snippet } from 'svelte';
	import Footprints from '@lucide/svelte/icons/footprints';
	import Target from '@lucide/svelte/icons/target';
	import Shrub from '@lucide/svelte/icons/shrub';
	import Sprout from '@lucide/svelte/icons/sprout';
	import ScrollText from '@lucide/svelte/icons/scroll-text';
	import BookOpen from '@lucide/svelte/icons/book-open';
	import Search from '@lucide/svelte/icons/search';
	import Settings from '@lucide/svelte/icons/settings';
	import Undo from '@lucide/svelte/icons/undo-2';
	import { isTimed, SCREENS } from '$lib/formats/screens.js';
	import Clocks from '$lib/ui/Clocks.svelte';
	import Keys from '$lib/ui/Keys.svelte';
	import Palette from '$lib/ui/Palette.svelte';
	import SeasonStrip from '$lib/ui/SeasonStrip.svelte';
	import { toast } from '$lib/ui/toast.svelte.js';
	import { undoEntry } from '$lib/ui/undo.js';
	import type { LayoutData } from './$types';

	let { data, children }: { data: LayoutData; children: Snippet } = $props();
	const base = $derived(`/g/${data.garden.slug}`);
	const day = $derived(data.isToday ? '' : `?day=${data.viewed}`);
	const ICONS: Record<string, typeof Target> = {
		round: Footprints,
		wants: Target,
		stock: Shrub,
		bench: Sprout,
		ledger: ScrollText,
		handbook: BookOpen
	};
	const MAIN = SCREENS.filter((s) => s.main);
	const current = $derived(page.url.pathname.split('/')[3] ?? '');
	let finding = $state(false);
	let undoing = $state(false);

	async function undo() {
		const entryId = toast.shown?.entryId;
		if (!entryId) return;
		undoing = true;
		await undoEntry(base, entryId);
		undoing = false;
	}
	$effect(() => {
		if (!toast.shown) return;
		const timer = setTimeout(() => (toast.shown = null), toast.shown.entryId ? 30_000 : 8_000);
		return () => clearTimeout(timer);
	});
</script>

<a
	href="#content"
	class="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-catkin focus:px-4 focus:py-3 focus:text-night"
	>To the content</a
>
<header class="no-print bg-bar text-onbar">
	<div class="mx-auto flex min-h-14 max-w-[1240px] items-center gap-x-4 px-4 md:flex-wrap">
		<a href="{base}/round" class="flex min-w-0 items-baseline gap-2 py-2 font-head text-lg font-semibold text-onbar">
			<span class="hidden lg:inline">Surculus</span><span class="max-w-[11em] min-w-0 truncate lg:font-normal lg:text-bar-faded"
				>{data.garden.name}</span
			>
		</a>
		<nav aria-label="Screens" class="hidden flex-1 flex-wrap gap-x-1 md:flex">
			{#each MAIN as { path, name } (path)}
				<a
					href="{base}/{path}{day}"
					aria-current={current === path ? 'page' : undefined}
					class="flex min-h-14 items-center border-b-4 px-3 text-onbar {current === path
						? 'border-catkin font-semibold'
						: 'border-transparent hover:border-bar-faded'}">{name}</a
				>
			{/each}
		</nav>
		<div class="ml-auto flex shrink-0 items-center gap-1">
			<button
				class="flex min-h-12 items-center gap-2 px-2 text-onbar hover:underline"
				onclick={() => (finding = true)}
				aria-label="Find (Ctrl K)"
			>
				<Search size={20} aria-hidden="true" /><span class="hidden lg:inline">Find</span>
			</button>
			<a
				href="{base}/settings"
				class="flex min-h-12 items-center gap-2 px-2 text-onbar hover:underline"
				aria-label="Garden settings"><Settings size={20} aria-hidden="true" /><span class="hidden lg:inline">Garden</span></a
			>
		</div>
	</div>
</header>
<SeasonStrip
	climate={data.garden.climate}
	today={data.garden.today}
	viewed={data.viewed}
	lanes={data.lanes}
	weather={data.weather}
	windows={page.data.stripWindows ?? []}
	{base}
	still={!isTimed(page.url.pathname.split('/').slice(3).join('/'))}
/>

<Clocks clocks={data.clocks} now={data.now} {base} />

<main id="content" class="mx-auto max-w-[1240px] px-4 pt-6 pb-40 md:pb-24">
	{@render children()}
</main>

<div class="fixed inset-x-0 bottom-16 z-40 flex justify-center px-3 md:bottom-4" aria-live="polite" role="status">
	{#if toast.shown}
		<Toast dismissable={false} align role="group">
			<div class="flex min-h-11 items-center justify-between gap-3">
				<span>{toast.shown.sentence}</span>
				<span class="flex shrink-0 items-center gap-1">
					{#if toast.shown.entryId}
						<button
							class="flex min-h-11 items-center gap-2 border border-onbar px-3 font-semibold"
							onclick={undo}
							disabled={undoing}><Undo size={18} aria-hidden="true" />Undo</button
						>
					{/if}
					<button class="min-h-11 min-w-11" aria-label="Close this message" onclick={() => (toast.shown = null)}>×</button>
				</span>
			</div>
		</Toast>
	{/if}
</div>

<nav aria-label="Screens" class="no-print fixed inset-x-0 bottom-0 z-30 flex border-t border-rule bg-pane md:hidden">
	{#each MAIN as { path, name } (path)}
		{@const Icon = ICONS[path]!}
		<a
			href="{base}/{path}{day}"
			aria-current={current === path ? 'page' : undefined}
			class="flex min-h-16 flex-1 flex-col items-center justify-center border-t-4 text-[0.75rem] text-bottle {current === path
				? 'border-catkin font-bold'
				: 'border-transparent'}"
		>
			<Icon size={22} aria-hidden="true" />{name}
		</a>
	{/each}
</nav>
<Palette bind:open={finding} {base} />
<Keys />
