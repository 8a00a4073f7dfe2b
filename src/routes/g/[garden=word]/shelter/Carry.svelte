<script lang="ts">
	/** The list to carry by: place after place, ticked at the door, logged together. */
	import { texts } from '$lib/messages/shelter.js';
	import Checkbox from 'flowbite-svelte/Checkbox.svelte';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import Fold from '$lib/ui/Fold.svelte';
	import { sayDate } from '$lib/core/dates.js';
	import { handsFor, ONE_PERSON_KG } from '$lib/core/shelter/index.js';
	import { sayLength } from '$lib/core/units/index.js';
	import type { UnitChoice } from '$lib/core/units/index.js';
	import type { Lodger } from './arrangement.js';

	interface Props {
		going: readonly { lodger: Lodger; to: string; place: string; keeps: number }[];
		today: string;
		units: UnitChoice;
	}
	let { going, today, units }: Props = $props();
	const groups = $derived(
		[...new Map(going.map((g) => [g.to, g.place]))].map(([to, place]) => ({
			to,
			place,
			items: going
				.filter((g) => g.to === to)
				.sort((a, b) => (a.lodger.inBy ?? '9').localeCompare(b.lodger.inBy ?? '9') || b.lodger.bearsC - a.lodger.bearsC)
		}))
	);
	let ticked = $state<string[]>([]);
	const hazards = $derived([
		...new Set(going.flatMap((g) => g.lodger.hazards.map((h) => `${g.lodger.name.split(',')[0]}: ${h}`)))
	]);
	const heavy = (l: Lodger) => l.kg > ONE_PERSON_KG;
</script>

<EntryForm
	action="?/carry"
	submit={ticked.length === 0 ? texts.logWhatYouCarried : texts.logAsMoved(ticked.length)}
	{today}
	noted={false}
	ondone={() => (ticked = [])}
>
	{#each groups as g (g.to)}
		<fieldset class="min-w-0">
			<legend class="text-lg font-semibold">{texts.to(g.place)}</legend>
			<ul class="ruled">
				{#each g.items as { lodger: l, to, keeps } (l.id)}
					<li class="py-1">
						<label class="flex min-h-12 items-center gap-3">
							<Checkbox name="carry" value="{l.id} {to}" bind:group={ticked} />
							<span class="min-w-0 flex-1 wrap-anywhere">
								{#if l.code}<span class="font-mono whitespace-nowrap">{l.code}</span>{/if}
								{l.name}{keeps < l.count ? texts.ofWord2(keeps, l.count) : l.count > 1 ? `, ${l.count}` : ''}
								{#if l.lift}<span class="text-faded">{texts.liftItIntoA(sayLength(l.acrossCm, units))}</span>{/if}
								{#if heavy(l)}<span class="text-madder">{texts.aboutKgEachPeople(Math.round(l.kg / 5) * 5, handsFor(l.kg))}</span
									>{/if}
							</span>
							<span class="text-right whitespace-nowrap {l.inBy && l.inBy <= today ? 'font-semibold text-madder' : ''}"
								>{l.inBy ? (l.inBy <= today ? texts.now : texts.by(sayDate(l.inBy))) : texts.anyDay}</span
							>
						</label>
					</li>
				{/each}
			</ul>
		</fieldset>
	{/each}
</EntryForm>
<Fold label={texts.beforeTheDoor} class="mt-2">
	<ul class="ml-5 list-disc">
		<li>{texts.lookUnderTheLeaves}</li>
		<li>
			{texts.takeOffDeadAnd}
		</li>
		<li>{texts.takeItInWhile}</li>
		<li>{texts.labelItIfIts(ONE_PERSON_KG)}</li>
		{#each hazards as h (h)}<li class="text-madder">{texts.glovesAndWashYour(h)}</li>{/each}
	</ul>
</Fold>
