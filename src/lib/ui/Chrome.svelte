<script lang="ts">
	/** The bars of every screen: head with the garden's name, foot with the screens on a phone. One list of screens feeds both. */
	import { texts } from '$lib/messages/common.js';
	import BottomNav from 'flowbite-svelte/BottomNav.svelte';
	import BottomNavItem from 'flowbite-svelte/BottomNavItem.svelte';
	import Navbar from 'flowbite-svelte/Navbar.svelte';
	import NavBrand from 'flowbite-svelte/NavBrand.svelte';
	import NavLi from 'flowbite-svelte/NavLi.svelte';
	import NavUl from 'flowbite-svelte/NavUl.svelte';
	import Footprints from '@lucide/svelte/icons/footprints';
	import Target from '@lucide/svelte/icons/target';
	import Shrub from '@lucide/svelte/icons/shrub';
	import Sprout from '@lucide/svelte/icons/sprout';
	import ScrollText from '@lucide/svelte/icons/scroll-text';
	import BookOpen from '@lucide/svelte/icons/book-open';
	import Search from '@lucide/svelte/icons/search';
	import Settings from '@lucide/svelte/icons/settings';
	import { SCREENS } from '$lib/formats/screens.js';
	import Island from './Island.svelte';

	interface Props {
		garden: string;
		base: string;
		/** Carried along to every screen: the day that is looked at. */
		query: string;
		/** The screen that is open. */
		current: string;
		onfind: () => void;
	}
	let { garden, base, query, current, onfind }: Props = $props();
	const ICONS: Record<string, typeof Target> = {
		round: Footprints,
		wants: Target,
		stock: Shrub,
		bench: Sprout,
		ledger: ScrollText,
		handbook: BookOpen
	};
	const MAIN = SCREENS.filter((s) => s.main);
	const tool = 'flex min-h-12 min-w-11 cursor-pointer items-center justify-center gap-2 px-2 text-onbar hover:underline';
	/** A text field that the browser has scrolled to may still lie under the bar at the foot. */
	function clearOfFoot(e: FocusEvent) {
		const foot = document.querySelector('[data-foot]')?.getBoundingClientRect();
		const at = (e.target as HTMLElement).getBoundingClientRect();
		if (foot?.height && at.bottom > foot.top && at.height < foot.top) scrollBy(0, at.bottom - foot.top + 8);
	}
</script>

<svelte:window onfocusin={clearOfFoot} />

<header class="no-print bg-bar text-onbar">
	<Navbar fluid>
		<NavBrand href="{base}/round">
			<span class="hidden lg:inline">Surculus</span><span class="max-w-[11em] min-w-0 truncate lg:font-normal lg:text-bar-faded"
				>{garden}</span
			>
		</NavBrand>
		<NavUl>
			{#each MAIN as { path, name } (path)}
				<NavLi
					href="{base}/{path}{query}"
					aria-current={current === path ? 'page' : undefined}
					class={current === path ? 'border-catkin font-semibold' : 'border-transparent hover:border-bar-faded'}>{name}</NavLi
				>
			{/each}
		</NavUl>
		<div class="ml-auto flex shrink-0 items-center gap-1">
			<button class={tool} onclick={onfind} aria-label={texts.findCtrlK}>
				<Search size={20} aria-hidden="true" /><span class="hidden lg:inline">{texts.find}</span>
			</button>
			<a href="{base}/settings" class={tool} aria-label={texts.gardenSettings}
				><Settings size={20} aria-hidden="true" /><span class="hidden lg:inline">{texts.garden}</span></a
			>
		</div>
	</Navbar>
</header>

<Island>
	<BottomNav data-foot role="navigation" aria-label={texts.screens} class="no-print md:hidden">
		{#each MAIN as { path, name } (path)}
			{@const Icon = ICONS[path]!}
			<BottomNavItem
				href="{base}/{path}{query}"
				btnName={name}
				active={current === path}
				aria-current={current === path ? 'page' : undefined}
				class={current === path ? 'border-catkin font-bold' : 'border-transparent'}
			>
				<Icon size={22} aria-hidden="true" />
			</BottomNavItem>
		{/each}
	</BottomNav>
</Island>
