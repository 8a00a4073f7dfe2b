<script lang="ts">
	/** The plan as it would be with more or fewer minutes, a shelf more, or without a want: tried, not written. */
	import { steady } from '$lib/ui/steady.js';
	import { texts } from '$lib/messages/plan.js';
	import { goto } from '$app/navigation';
	import Act from '$lib/ui/Act.svelte';
	import Fold from '$lib/ui/Fold.svelte';
	import NumberBox from '$lib/ui/NumberBox.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import { sayArea } from '$lib/core/units/index.js';
	import type { UnitChoice } from '$lib/core/units/index.js';
	import type { PlanView } from '$lib/server/jointView.js';
	import { aimAddress } from './says.js';
	import type { Choice } from './says.js';

	interface Props {
		plan: PlanView;
		choice: Choice;
		base: string;
		units: UnitChoice;
	}
	let { plan, choice, base, units }: Props = $props();
	/** What a shelf or a table has, cm². */
	const SHELVES = [1_000, 2_000, 4_000, 6_000, 10_000, 20_000, 40_000];
	const kept = $derived.by(steady(() => ({ minutes: choice.minutes, place: plan.measured[0]?.id ?? '' })));
	let minutes = $derived<number | null>(kept.minutes);
	let place = $derived(kept.place);
	let more = $state('4000');
	const wants = $derived(plan.wants.map((w) => ({ value: w.id, name: `${w.target} ${w.name}${w.label ? `, ${w.label}` : ''}` })));
	const firstWant = $derived(wants[0]?.value ?? '');
	let want = $derived(firstWant);
	const go = (to: Choice) => goto(aimAddress(base, to), { noScroll: true });
</script>

<Fold label={texts.whatIf} class="mt-1">
	<div class="mt-1 flex flex-wrap items-end gap-3">
		<NumberBox label={texts.minutesEachWeek} bind:value={minutes} min={0} max={10_080} narrow />
		<Act disabled={minutes === null || minutes === choice.minutes} onclick={() => go({ ...choice, minutes })}
			>{texts.planWithThat}</Act
		>
	</div>
	{#if plan.measured.length}
		<div class="mt-3 flex flex-wrap items-end gap-3">
			<SelectField
				label={texts.moreRoomIn}
				name="shelf"
				bind:value={place}
				items={plan.measured.map((room) => ({ value: room.id, name: room.name }))}
			/>
			<SelectField
				label={texts.soMuch}
				name="more"
				bind:value={more}
				items={SHELVES.map((cm2) => ({ value: String(cm2), name: sayArea(cm2 / 10_000, units) }))}
			/>
			<Act onclick={() => go({ ...choice, room: [...choice.room.filter((x) => !x.startsWith(place)), `${place}~${more}`] })}
				>{texts.planWithThat}</Act
			>
		</div>
	{/if}
	{#if wants.length > 1}
		<div class="mt-3 flex flex-wrap items-end gap-3">
			<SelectField label={texts.aWantToLeave} name="without" bind:value={want} items={wants} />
			<Act onclick={() => go({ ...choice, without: [...choice.without, want] })}>{texts.planWithoutIt}</Act>
		</div>
	{/if}
</Fold>
