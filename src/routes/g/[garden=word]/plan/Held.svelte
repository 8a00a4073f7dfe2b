<script lang="ts">
	/** What holds back the wants that are short, and what would help: each done in one tap from here. */
	import { texts } from '$lib/messages/plan.js';
	import Act from '$lib/ui/Act.svelte';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import Fold from '$lib/ui/Fold.svelte';
	import Note from '$lib/ui/Note.svelte';
	import { sayDate } from '$lib/core/dates.js';
	import { sayOddsAsked } from '$lib/core/odds/words.js';
	import type { ChangeView } from '$lib/server/bindsView.js';
	import type { WantPlanned } from '$lib/server/jointView.js';
	import { aimAddress } from './says.js';
	import type { Choice, Help } from './says.js';

	interface Props {
		short: readonly WantPlanned[];
		help: Help;
		/** More of it comes. */
		coming: boolean;
		base: string;
		choice: Choice;
		today: string;
	}
	let { short, help, coming, base, choice, today }: Props = $props();
	/** The plan as it would be, or where it is done. */
	function leads(does: { spend: number } | { minutes: number } | { room: string } | { go: string }): string {
		if ('go' in does) return `${base}/${does.go}`;
		if (!('room' in does)) return aimAddress(base, { ...choice, ...does });
		const place = does.room.slice(0, does.room.indexOf('~'));
		return aimAddress(base, { ...choice, room: [...choice.room.filter((x) => !x.startsWith(place)), does.room] });
	}
	/** Of what would help the first few are seen at once. */
	const FEW = 3;
</script>

{#snippet done(w: WantPlanned, c: ChangeView)}
	{#if c.does && ('want' in c.does || 'grow' in c.does || 'buy' in c.does)}
		{@const [action, fields] =
			'want' in c.does ? ['?/ease', c.does.want] : 'grow' in c.does ? ['?/grow', c.does.grow] : ['?/buy', c.does.buy]}
		<EntryForm
			{action}
			submit={c.does.words}
			about="{w.id}-name"
			{today}
			dated={false}
			noted={false}
			quiet
			seen={{ id: w.id, version: w.version }}
		>
			<input type="hidden" name="want" value={w.id} />
			{#each Object.entries(fields) as [name, value] (name)}<input type="hidden" {name} {value} />{/each}
		</EntryForm>
	{:else if c.does}
		<Act aria-describedby="{w.id}-name" href={leads(c.does)}>{c.does.words}</Act>
	{/if}
{/snippet}

{#snippet list(w: WantPlanned, changes: readonly ChangeView[])}
	{#if changes.length}
		<ul class="mt-1 divide-y divide-rule">
			{#each changes as c (c.says)}
				<li class="flex flex-wrap items-center justify-between gap-x-6 gap-y-1 py-1">
					<span class="min-w-60 flex-1">{c.says}</span>
					<div class="no-print">{@render done(w, c)}</div>
				</li>
			{/each}
		</ul>
	{/if}
{/snippet}

<section class="mt-8" aria-labelledby="short">
	<h2 id="short" class="border-b border-ink pb-1">{texts.whatHoldsTheRest}</h2>
	<ul class="ruled">
		{#each short as w (w.id)}
			{@const told = help[w.id]}
			<li class="grid gap-x-6 gap-y-1 py-3 md:grid-cols-[16rem_1fr]">
				<p>
					<a id="{w.id}-name" href="{base}/wants/{w.id}"
						><span class="font-head text-xl font-semibold">{w.target}</span> <span class="font-semibold">{w.name}</span></a
					>
					<span class="note block"
						>{texts.byThen(
							sayOddsAsked(w.odds, w.confidence),
							sayDate(w.due),
							w.usually === 0 ? texts.usuallyNoneStands : texts.usually(w.usually, w.usually === 1 ? texts.stands : texts.stand)
						)}</span
					>
				</p>
				<div>
					{#if !told}
						{#if coming}<p class="text-faded">{texts.tryingWhatWouldHelp}</p>{/if}
					{:else if 'sorry' in told}<Note tone="harm">{told.sorry}</Note>
					{:else if told.bind}
						{@const b = told.bind}
						{@const shown = b.changes.length > FEW + 1 ? FEW : b.changes.length}
						<p>{b.says}</p>
						{@render list(w, b.changes.slice(0, shown))}
						{#if b.changes.length > shown}
							<Fold label={texts.moreThatWouldDo(b.changes.length - shown)}>
								{@render list(w, b.changes.slice(shown))}
							</Fold>
						{/if}
					{:else}<p class="text-faded">{texts.nothingThatWasTried}</p>{/if}
				</div>
			</li>
		{/each}
	</ul>
</section>
