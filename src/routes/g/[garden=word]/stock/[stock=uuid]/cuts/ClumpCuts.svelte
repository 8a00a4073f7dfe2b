<script lang="ts">
	import { texts } from '$lib/messages/stock.js';
	import { shortMeasure } from '$lib/core/units/index.js';
	import type { UnitChoice } from '$lib/core/units/index.js';
	import Note from '$lib/ui/Note.svelte';
	/** A clump and its divisions, few and big or many and small. */
	import { onMount, untrack } from 'svelte';
	import { drawClump } from '$lib/core/draw/index.js';
	import { AIMS, checkClump, divide } from '$lib/core/material/clump.js';
	import type { Clump, DivisionAim } from '$lib/core/material/clump.js';
	import NumberBox from '$lib/ui/NumberBox.svelte';
	import { remembered } from '$lib/ui/remembered.js';
	import Drawing from '$lib/ui/Drawing.svelte';
	interface Props {
		/** Whose clump this is: what was measured on it stays while one looks at other ways. */
		stockId: string;
		usualCount: number;
		usualCm: number;
		spacingCm: number;
		sizeCm: number | null;
		ageYears: number | null;
		chance: number;
		units: UnitChoice;
		say: (cm: number) => string;
		onresult: (pieces: number, expected: number) => void;
	}
	let { stockId, usualCount, usualCm, spacingCm, sizeCm, ageYears, chance, units, say, onresult }: Props = $props();
	const short = $derived(shortMeasure(units));
	// What is typed over these stays, whatever is looked up meanwhile.
	let across = $state(untrack(() => short.shown(sizeCm ?? usualCm, 1)));
	let age = $state<number | null>(untrack(() => ageYears));
	let points = $state<number | null>(null);
	let dead = $state(0);
	let lifted = $state(100);
	let aim = $state<DivisionAim>('middling');
	interface Measured {
		across: number;
		age: number | null;
		points: number | null;
		dead: number;
		lifted: number;
	}
	const kept = remembered<Measured>(`clump ${untrack(() => [stockId, sizeCm, ageYears].join())}`);
	let ready = $state(false);
	onMount(() => {
		const before = kept.read();
		if (before) ({ across, age, points, dead, lifted } = before);
		ready = true;
	});
	$effect(() => {
		const now = { across, age, points, dead, lifted };
		if (ready) kept.write(now);
	});
	const NAMES: Record<DivisionAim, string> = {
		show: texts.aShowNextYear,
		middling: texts.inBetween,
		many: texts.asManyAsPossible
	};
	// Big or many: school “big-many” of the handbook.
	const FLOWERS: Record<DivisionAim, string> = {
		show: texts.theyFlowerNextYear,
		middling: texts.mostFlowerNextYear,
		many: texts.theyFlowerAYear
	};
	const clump = $derived<Clump>({
		diameterCm: short.from(across),
		ageYears: age ?? null,
		points: points ?? null,
		deadShare: (dead ?? 0) / 100,
		lifted: (lifted ?? 100) / 100
	});
	const checked = $derived(checkClump(clump));
	const habit = $derived({ usualCount, usualCm, spacingCm });
	const all = $derived(
		(Object.keys(AIMS) as DivisionAim[]).map((a) => ({ aim: a, d: checked.ok ? divide(clump, habit, a) : null }))
	);
	const d = $derived(all.find((a) => a.aim === aim)!.d);
	$effect(() => onresult(d?.count ?? 0, (d?.count ?? 0) * chance));
	const years = (y: number) => (y < 0.25 ? texts.atOnce : y < 1.25 ? texts.inAboutAYear : texts.inAboutYears(Math.round(y)));
</script>

{#if !checked.ok}<Note tone="harm" said class="mt-4">{checked.problem.sentence}</Note>{/if}
<div class="mt-4 grid gap-8 md:grid-cols-2">
	{#if d}
		<div>
			<Drawing drawing={drawClump(clump, d, say)} class="max-h-[52vh]" />
			<p class="note">
				{texts.fromAboveRedThe(
					clump.deadShare > 0 ? texts.brownCrossedDeadThrown : '',
					clump.lifted < 1 ? texts.whiteStaysInThe : ''
				)}
			</p>
		</div>
	{/if}
	<div>
		<fieldset>
			<legend class="font-semibold">{texts.whatFor}</legend>
			<ul class="mt-1 flex flex-col gap-2">
				{#each all as a (a.aim)}
					<li>
						<label
							class="flex min-h-14 items-center gap-3 border px-3 {aim === a.aim
								? 'border-2 border-bottle bg-pane'
								: 'border-rule'}"
						>
							<input type="radio" name="aim" value={a.aim} bind:group={aim} class="h-5 w-5 text-bottle" />
							<span class="flex-1"
								><strong>{NAMES[a.aim]}</strong>{#if a.d}<span class="block text-faded"
										>{texts.ofAndEachFills(
											a.d.count,
											a.d.count === 1 ? texts.plant : texts.divisions,
											say(a.d.eachCm),
											FLOWERS[a.aim],
											years(a.d.yearsToFill)
										)}</span
									>{/if}</span
							>
						</label>
					</li>
				{/each}
			</ul>
		</fieldset>
		{#if d?.bound === 'points'}<p class="note mt-2">
				{texts.theGrowingPointsSet(AIMS[aim].points)}
			</p>{/if}
		<div class="mt-4 grid grid-cols-2 gap-3">
			<NumberBox label={texts.across2(short.unit)} step={1} bind:value={across} />
			<NumberBox label={texts.ageYears} bind:value={age} />
			<NumberBox label={texts.growingPointsIfCounted} min={1} bind:value={points} />
			<NumberBox label={texts.deadMiddle} max={95} step={5} bind:value={dead} />
			<label class="col-span-2 block"
				><span class="block font-semibold">{texts.liftOfIt(lifted)}</span><input
					type="range"
					min="10"
					max="100"
					step="5"
					class="min-h-11 w-full accent-bottle"
					bind:value={lifted}
				/></label
			>
		</div>
		<Note tone="harm" class="mt-3">
			{texts.aClumpInWet(units.length === 'us' ? texts.n51Lb : texts.n23Kg)}
		</Note>
	</div>
</div>
