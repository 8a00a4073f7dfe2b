<script lang="ts">
	import { texts } from '$lib/messages/common.js';
	import Toast from 'flowbite-svelte/Toast.svelte';
	import { page } from '$app/state';
	import type { Snippet } from 'svelte';
	import Undo from '@lucide/svelte/icons/undo-2';
	import { isTimed, mainOf } from '$lib/formats/screens.js';
	import Chrome from '$lib/ui/Chrome.svelte';
	import Clocks from '$lib/ui/Clocks.svelte';
	import Island from '$lib/ui/Island.svelte';
	import Keys from '$lib/ui/Keys.svelte';
	import Palette from '$lib/ui/Palette.svelte';
	import SeasonStrip from '$lib/ui/SeasonStrip.svelte';
	import { toast } from '$lib/ui/toast.svelte.js';
	import { undoEntry } from '$lib/ui/undo.js';
	import type { LayoutData } from './$types';

	let { data, children }: { data: LayoutData; children: Snippet } = $props();
	const base = $derived(`/g/${data.garden.slug}`);
	const day = $derived(data.isToday ? '' : `?day=${data.viewed}`);
	const current = $derived(mainOf(page.url.pathname.split('/').slice(3).join('/')));
	let finding = $state(false);
	let undoing = $state(false);
	let told = $state<HTMLElement>();

	async function undo() {
		const entryId = toast.shown?.entryId;
		if (!entryId) return;
		undoing = true;
		await undoEntry(base, entryId);
		undoing = false;
	}
	$effect(() => {
		if (!toast.shown) return;
		// It stays while a hand or the focus rests on it. A finger leaves a hover behind, which counts for nothing.
		const resting = matchMedia('(hover: hover)').matches ? ':hover, :focus-within' : ':focus-within';
		const away = () => {
			if (told?.matches(resting)) timer = setTimeout(away, 5_000);
			else toast.shown = null;
		};
		let timer = setTimeout(away, toast.shown.entryId ? 30_000 : 8_000);
		return () => clearTimeout(timer);
	});
</script>

<a
	href="#content"
	class="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-catkin focus:px-4 focus:py-3 focus:text-night"
	>{texts.toTheContent}</a
>
<Island>
	<Chrome garden={data.garden.name} {base} query={day} {current} onfind={() => (finding = true)} />
</Island>
<Island>
	<SeasonStrip
		climate={data.garden.climate}
		today={data.garden.today}
		viewed={data.viewed}
		lanes={data.lanes}
		weather={data.weather}
		windows={page.data.stripWindows ?? []}
		inside={page.data.stripInside ?? null}
		units={data.garden.units}
		{base}
		still={!isTimed(page.url.pathname.split('/').slice(3).join('/'))}
	/>
</Island>

<Clocks clocks={data.clocks} now={data.now} {base} />

<main id="content" class="mx-auto max-w-[1240px] px-4 pt-6 pb-40 md:pb-24">
	{@render children()}
</main>

<div
	bind:this={told}
	class="fixed inset-x-0 bottom-16 z-40 flex justify-center px-3 md:bottom-4"
	aria-live="polite"
	role="status"
>
	{#if toast.shown}
		<Toast dismissable={false} align role="group">
			<div class="flex min-h-11 items-center justify-between gap-3">
				<span>{toast.shown.sentence}</span>
				<span class="flex shrink-0 items-center gap-1">
					{#if toast.shown.entryId}
						<button
							class="flex min-h-11 items-center gap-2 border border-onbar px-3 font-semibold"
							onclick={undo}
							disabled={undoing}><Undo size={18} aria-hidden="true" />{texts.undo}</button
						>
					{/if}
					<button class="min-h-11 min-w-11" aria-label={texts.closeThisMessage} onclick={() => (toast.shown = null)}>×</button>
				</span>
			</div>
		</Toast>
	{/if}
</div>

<Island>
	<Palette bind:open={finding} {base} />
	<Keys />
</Island>
