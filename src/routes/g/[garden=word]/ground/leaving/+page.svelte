<script lang="ts">
	/** We leave this garden: what comes along, and by when must it be lifted or cut? */
	import TextAct from '$lib/ui/TextAct.svelte';
	import { texts } from '$lib/messages/ground.js';
	import { goto } from '$app/navigation';
	import Act from '$lib/ui/Act.svelte';
	import DayField from '$lib/ui/DayField.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Note from '$lib/ui/Note.svelte';
	import Trail from '$lib/ui/Trail.svelte';
	import { daysRead } from '$lib/ui/daysRead.js';
	import { steady } from '$lib/ui/steady.js';
	import { sayDate } from '$lib/core/dates.js';
	import { sayLoad } from '$lib/core/ground/movesWords.js';
	import { sayDoes } from '$lib/core/odds/words.js';
	import { sayVolume } from '$lib/core/units/index.js';
	import type { PageData } from './$types';

	let { data }: { data: PageData } = $props();
	const base = $derived(`/g/${data.garden.slug}`);
	const asked = $derived.by(steady(() => data.asked));
	let on = $derived(asked.on);
	let to = $derived(asked.to);
	async function ask() {
		await daysRead();
		await goto(`?${new URLSearchParams({ on, to }).toString()}`, { keepFocus: true });
	}
	const coming = $derived(data.plants.filter((p) => p.how !== 'none'));
	const staying = $derived(data.plants.filter((p) => p.how === 'none'));
	const heading = $derived(
		data.plants.length === 0 ? texts.whatComesAlongWhen : sayLoad(coming.length, data.plants.length, data.load.kg)
	);
	type Plant = PageData['plants'][number];
	const what = (p: Plant) =>
		p.how === 'pieces'
			? texts.takeByAtThe(
					p.takes,
					p.pieceWord[p.takes === 1 ? 0 : 1],
					p.from! <= data.garden.today ? 'now' : texts.fromOn(sayDate(p.from!)),
					p.wayName,
					sayDate(p.until!)
				)
			: p.lives === null
				? texts.inWord2(p.count === 1 ? texts.goes : texts.theyGo, p.count === 1 ? texts.itsPot : texts.theirPots)
				: texts.liftWithAbout(
						p.count === 1 ? 'it' : 'them',
						p.count === 1 ? texts.itsBall : texts.theirBalls,
						sayDate(p.from!),
						sayDoes(p.lives, p.count === 1 ? 'it' : 'each', 'lives', 'on'),
						p.people > 1 ? texts.people(p.people) : ''
					);
</script>

<svelte:head><title>{texts.leavingGround(data.garden.name)}</title></svelte:head>
<Trail to="{base}/ground" name="Ground" />
<h1 class="mt-1">{heading}</h1>
{#if data.plants.length}
	<p class="mt-1 max-w-prose text-lg text-faded">
		{texts.potsAndBallsAbout(data.load.pots, sayVolume(data.load.litres, data.garden.units))}
		{#if data.town}{texts.theColdestNightOf(data.town.name, data.town.coldest)}{/if}
	</p>
{:else}
	<p class="mt-1 max-w-prose text-lg text-faded">
		{texts.forEachPlantLifted}
	</p>
{/if}

<form
	class="no-print mt-4 grid items-start gap-4 sm:grid-cols-[1fr_2fr]"
	onsubmit={(e) => {
		e.preventDefault();
		void ask();
	}}
>
	<DayField label={texts.dayOfLeaving} name="on" bind:value={on} />
	<Field label={texts.theNewGardenIs} name="to" bind:value={to} maxlength={60} hint={texts.aTownByAny} />
	<div><Act type="submit" main>{texts.whatComesAlong}</Act></div>
</form>
{#if data.wrong}<Note tone="harm" said>{data.wrong}</Note>{/if}

{#if data.plants.length}
	<Note class="mt-4">{texts.plantsAndSoilMay}</Note>
	<section class="mt-6" aria-labelledby="along">
		<h2 id="along" class="border-b border-ink pb-1">{texts.inTheOrderOf}</h2>
		<ul class="ruled">
			{#each coming as p (p.id)}
				<li class="py-2">
					<TextAct href="{base}/stock/{p.id}">{p.count > 1 ? `${p.count} ` : ''}{p.name}</TextAct><span class="note"
						>{p.place ? `, ${p.place}` : ''}</span
					>
					<span class="block">{what(p)}</span>
					{#each p.cautions as c, i (i)}<span class="note block">{c}</span>{/each}
				</li>
			{/each}
		</ul>
	</section>
	{#if staying.length}
		<section class="mt-6" aria-labelledby="stays">
			<h2 id="stays" class="border-b border-ink pb-1">{staying.length === 1 ? texts.oneStays : texts.stay(staying.length)}</h2>
			<p class="mt-2">
				{texts.neitherLiftedNorCut(staying.map((p) => p.name).join('; '))}
			</p>
		</section>
	{/if}
{/if}
