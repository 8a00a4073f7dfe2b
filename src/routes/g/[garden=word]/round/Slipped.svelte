<script lang="ts">
	/** Wants that were begun and are less sure than asked, with what still mends them and until when. */
	import { texts } from '$lib/messages/round.js';
	import { sayDate } from '$lib/core/dates.js';
	import { sayOddsAsked } from '$lib/core/odds/words.js';
	import { repairsLater } from '$lib/ui/repairs.svelte.js';

	interface Props {
		base: string;
		/** Changes with the garden. */
		of: unknown;
	}
	let { base, of }: Props = $props();
	const repairs = repairsLater(
		() => base,
		() => of
	);
	const slipped = $derived(repairs.list.filter((r) => r.begun));
</script>

<div role="status">
	{#if slipped.length}
		<section class="border-t border-ink py-5 md:grid md:grid-cols-[15rem_1fr] md:gap-x-8">
			<div class="mb-2">
				<h2>{texts.lessSureThanYou}</h2>
				<p class="note"><a href="{base}/plan">{texts.thePlanOfAll}</a></p>
			</div>
			<ul class="ruled">
				{#each slipped as r (r.id)}
					<li class="py-2">
						<a class="font-semibold" href="{base}/wants/{r.id}">{r.target} {r.name}{r.label ? `, ${r.label}` : ''}</a>
						{texts.by(sayDate(r.due), sayOddsAsked(r.odds, r.confidence))}
						<span class="block">{r.says}</span>
					</li>
				{/each}
			</ul>
		</section>
	{/if}
</div>
