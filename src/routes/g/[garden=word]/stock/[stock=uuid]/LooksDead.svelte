<script lang="ts">
	/** Questions to ask a plant that looks dead, and what its answers say; nothing is logged. */
	import { texts } from '$lib/messages/stock.js';
	import Chip from '$lib/ui/Chip.svelte';
	import { sayOdds } from '$lib/core/odds/words.js';
	import { GIVE_UP, livesGiven, SIGNS_OF_LIFE, warmDaysToWait } from '$lib/core/shelter/index.js';
	import type { SignOfLife } from '$lib/core/shelter/index.js';

	interface Props {
		/** Chance that it lives before it was asked, and days of growth since the winter. */
		prior: number;
		warmDays: number;
	}
	let { prior, warmDays }: Props = $props();
	let seen = $state<Partial<Record<SignOfLife, boolean>>>({});
	const signs = Object.entries(SIGNS_OF_LIFE) as [SignOfLife, (typeof SIGNS_OF_LIFE)[SignOfLife]][];
	const chance = $derived(livesGiven(prior, seen, warmDays));
	const wait = $derived(warmDaysToWait(prior, seen));
	const weeks = $derived(wait === null ? null : Math.ceil((wait - warmDays) / 7));
</script>

<p aria-live="polite">
	{texts.thatItLives} <strong class="text-xl">{sayOdds(chance)}</strong>.
	{#if chance < GIVE_UP}{texts.giveItUpIts}
	{:else if weeks === null}{texts.waitHoweverLongIt}
	{:else if weeks <= 1}{texts.ifNoShootShows}
	{:else}{texts.waitIfNoShoot(weeks)}{/if}
</p>
{#each signs as [sign, { asks }] (sign)}
	<fieldset class="mt-3">
		<legend>{asks}</legend>
		<div class="mt-1 flex gap-2">
			{#each [['yes', true], ['no', false]] as const as [word, value] (word)}
				<Chip
					type="radio"
					name={sign}
					value={word}
					checked={seen[sign] === value}
					onchange={() => (seen = { ...seen, [sign]: value })}>{word === 'yes' ? texts.yes : texts.no}</Chip
				>
			{/each}
		</div>
	</fieldset>
{/each}
