<script lang="ts">
	/** The plan taken, whole or in part. */
	import { texts } from '$lib/messages/plan.js';
	import Checkbox from 'flowbite-svelte/Checkbox.svelte';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import Fold from '$lib/ui/Fold.svelte';
	import type { PlanView, WantPlanned } from '$lib/server/jointView.js';

	interface Props {
		plan: PlanView;
		today: string;
	}
	let { plan, today }: Props = $props();

	/** As the server writes them: one line for each batch. */
	const asTaken = (wants: readonly WantPlanned[]): string =>
		JSON.stringify(
			wants.flatMap((w) =>
				w.batches.map((b) => ({
					...{ want: w.id, kind: b.kindId, way: b.wayId, stock: b.stockId, on: b.on, pieces: b.pieces },
					promised: w.odds
				}))
			)
		);
	/** In all, with what was to be bought before; a plan made anew takes the place of that. */
	const toBuy = (wants: readonly WantPlanned[]): string =>
		JSON.stringify(
			wants.flatMap((w) =>
				w.buys > 0 || (plan.anew && w.buying > 0)
					? [{ want: w.id, count: (plan.anew ? 0 : w.buying) + w.buys, was: w.buying }]
					: []
			)
		);
	const beside = (wants: readonly WantPlanned[]): string =>
		JSON.stringify(Object.fromEntries(wants.map((w) => [w.id, w.beside])));
	/** Wants that are left out. */
	let without = $state<string[]>([]);
	const withBatches = $derived(plan.wants.filter((w) => w.batches.length > 0 || w.buys > 0));
	const takes = $derived(withBatches.filter((w) => !without.includes(w.id)));
	const taken = $derived(plan.anew ? plan.wants.filter((w) => !without.includes(w.id)) : takes);
	const whatOf = (w: WantPlanned): string =>
		[
			...(w.batches.length ? [`${w.batches.length} ${w.batches.length === 1 ? texts.batch : texts.batches}`] : []),
			...(w.buys ? [texts.toBuy(w.buys)] : [])
		].join(', ');
	const buys = $derived(takes.reduce((n, w) => n + w.buys, 0));
	const many = $derived(takes.reduce((n, w) => n + w.batches.length, 0));
</script>

<EntryForm
	action="?/take"
	submit={withBatches.length === 0
		? texts.leaveOutWhatWas
		: takes.length === withBatches.length
			? texts.takeThisPlan
			: many
				? texts.takeOfItsBatches(many)
				: texts.takeWhatIsTo}
	{today}
	dated={false}
	noted={false}
>
	<input type="hidden" name="batches" value={asTaken(takes)} />
	<input type="hidden" name="beside" value={beside(taken)} />
	<input type="hidden" name="buys" value={toBuy(taken)} />
	{#if plan.anew}<input type="hidden" name="anew" value="1" />{/if}
	{#if withBatches.length > 1}
		<Fold label={texts.takeOnlySomeOf}>
			{#each withBatches as w (w.id)}
				<Checkbox
					checked={!without.includes(w.id)}
					onchange={() => (without = without.includes(w.id) ? without.filter((id) => id !== w.id) : [...without, w.id])}
					>{w.target}
					{w.name}{w.label ? `, ${w.label}` : ''}: {whatOf(w)}</Checkbox
				>
			{/each}
		</Fold>
	{/if}
</EntryForm>
<p class="note mt-1">
	{#if many}{texts.onTheRoundOn(many === 1 ? texts.itsBatchComes : texts.itsBatchesCome(many))}{/if}
	{#if buys}{texts.whatIsToBe}{/if}
	{texts.oneUndoTakesAll}
</p>
