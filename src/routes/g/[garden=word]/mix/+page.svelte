<script lang="ts">
	import { texts } from '$lib/messages/mix.js';
	import { sayMoney, sayNumber } from '$lib/core/numbers.js';
	import TableBodyCell from 'flowbite-svelte/TableBodyCell.svelte';
	import Rows from '$lib/ui/Rows.svelte';
	import ChoiceField from '$lib/ui/ChoiceField.svelte';
	import Fold from '$lib/ui/Fold.svelte';
	import Act from '$lib/ui/Act.svelte';
	// Who: before the work, at the potting bench or about to drive to the shop. Question: what do I fill, mix and
	// buy? Computed: vessels, litres, parts, bags, water, hormone. Biggest: how many of what to fill, and litres of
	// each material. At 390 px: one column, the filling first, then the materials, then the hormone.
	import { goto } from '$app/navigation';
	import { sayDate } from '$lib/core/dates.js';
	import { sayLength, sayVolume } from '$lib/core/units/index.js';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import Field from '$lib/ui/Field.svelte';
	import NumberBox from '$lib/ui/NumberBox.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import { startClock } from '$lib/ui/clocks.js';
	import { plural } from '$lib/ui/say.js';
	import Feed from './Feed.svelte';
	import OwnVessel from './OwnVessel.svelte';
	import Thin from './Thin.svelte';
	import { steady } from '$lib/ui/steady.js';
	import type { PageData } from './$types';
	let { data }: { data: PageData } = $props();
	const base = $derived(`/g/${data.garden.slug}`);
	const p = $derived(data.preparing);
	const units = $derived(data.garden.units);
	const volume = (l: number) =>
		l < 0.95 ? (units.length === 'us' ? texts.flOz(sayNumber(l * 33.814)) : texts.ml(sayNumber(l * 1000))) : sayVolume(l, units);
	const asked = $derived.by(steady(() => data.asked));
	let kind = $derived(asked?.kind ?? '');
	let way = $derived(asked?.way ?? '');
	let n = $derived(asked?.n ?? 12);
	let vessel = $derived(asked?.in ?? '');
	let medium = $derived(asked?.medium ?? '');
	const ways = $derived(data.kinds.find((k) => k.id === kind)?.ways ?? []);
	const reckon = () => {
		const chosen = ways.some((w) => w.id === way) ? way : (ways[0]?.id ?? '');
		void goto(
			`?kind=${kind}&way=${chosen}&n=${n || 12}${vessel ? `&in=${vessel}` : ''}${medium.trim() ? `&medium=${encodeURIComponent(medium.trim())}` : ''}`,
			{ noScroll: true, keepFocus: true }
		);
	};
	const filled = $derived(p.rows.filter((r) => r.filled.vessels > 0));
</script>

<svelte:head><title>{texts.mixAndShopping(data.garden.name)}</title></svelte:head>
<div class="flex flex-wrap items-end justify-between gap-4">
	<div>
		<h1>{texts.whatToFillMix}</h1>
		<p class="text-faded">
			{#if data.asked}{texts.forOf(
					plural(n, p.rows[0]?.piece ?? ['piece', 'pieces']),
					p.rows[0]?.kindName ?? ''
				)}{:else}{texts.forPlanned(p.rows.length, p.rows.length === 1 ? texts.batch : texts.batches)}{/if}
		</p>
	</div>
	{#if !data.asked}<p class="flex flex-wrap gap-2">
			{#each [['day', texts.tomorrow], ['week', texts.thisWeek], ['season', texts.thisSeason]] as const as [id, name] (id)}<Act
					main={data.span === id}
					aria-current={data.span === id ? 'true' : undefined}
					href="?span={id}">{name}</Act
				>{/each}
		</p>{:else}<Act href="{base}/mix">{texts.allThatIsPlanned}</Act>{/if}
</div>
{#if p.rows.length === 0}
	<p class="mt-6 max-w-prose border-t border-ink pt-4">
		{texts.nothingIsPlannedIn}
	</p>
{/if}
<div class="mt-6 grid gap-10 md:grid-cols-2">
	<div>
		{#if p.rows.length === 0}{@render reckoning()}{/if}
		{#if filled.length}
			<h2 class="border-b border-ink pb-1">{texts.fill}</h2>
			<ul class="ruled">
				{#each filled as r (r.id)}
					<li class="py-3">
						<p class="flex flex-wrap items-baseline gap-x-3">
							<span class="figure">{r.filled.vessels}</span><span class="text-lg">× {r.filling.vesselName}</span>
							<span class="text-faded"
								>{texts.ofWord(volume(r.filled.litres), r.filling.vessel?.shape === 'jar' ? texts.water : r.medium)}</span
							>
						</p>
						<p class="note">
							{texts.toEachApartSo(
								r.code ? `${r.code} ` : '',
								r.kindName,
								r.pieces,
								r.piece[1],
								r.filled.each,
								sayLength(r.filling.apartCm, units),
								r.on ? texts.plannedFor(sayDate(r.on)) : ''
							)}
						</p>
						{#if !r.read && r.filling.vessel?.shape !== 'jar'}<p class="note">
								{r.problem ?? texts.thisMediumCouldNot}
							</p>{/if}
						{#each r.clocks.filter((c) => /tray/.test(c.say)) as c (c.say)}<Act
								class="mt-1"
								onclick={() => startClock(base, `${r.kindName}: ${c.say}`, c.minutes)}>{texts.startTheClock(c.say)}</Act
							>{/each}
					</li>
				{/each}
			</ul>
		{/if}
		{#if p.materials.length}
			<h2 class="mt-6 border-b border-ink pb-1">{texts.mix}</h2>
			<Rows
				heads={[
					texts.material,
					{ name: texts.needed, end: true },
					{ name: texts.atHand, end: true },
					{ name: texts.buy, end: true }
				]}
				rows={p.materials}
				key={(m) => m.id}
			>
				{#snippet cells(m: (typeof p.materials)[number])}
					<TableBodyCell>{m.name}</TableBodyCell>
					<TableBodyCell class="text-right text-lg font-semibold whitespace-nowrap">{volume(m.litres)}</TableBodyCell>
					<TableBodyCell class="text-right whitespace-nowrap">{m.shelf > 0 ? volume(m.shelf) : '–'}</TableBodyCell>
					<TableBodyCell class="text-right whitespace-nowrap">
						{#if m.short <= 0}{texts.nothing}{:else if m.canBuy}{m.buy.bags
								.map((b) => `${b.count} × ${b.litres} L`)
								.join(' + ')}<span class="note block">{sayMoney(m.buy.cost, data.garden.currency)}</span>{:else}{texts.toBeFound(
								volume(m.short)
							)}{/if}
					</TableBodyCell>
				{/snippet}
			</Rows>
			<p class="note mt-1">
				{texts.shrinkageIsAllowedFor}
			</p>
		{/if}
		{#if p.rows.length}
			<p class="mt-3 text-lg">{texts.waterToBring} <strong>{volume(p.water)}</strong>.</p>
			<p class="mt-1 text-lg">
				{texts.toBuy} <strong>{sayMoney(p.cost, data.garden.currency)}</strong>{texts.asManyPlantsBought}
				<strong>{sayMoney(p.bought, data.garden.currency)}</strong>.
				<span class="note block">{texts.pricesAreGuessesIn}</span>
			</p>
		{/if}
	</div>
	<div class="flex flex-col gap-6">
		<section>
			<h2 class="border-b border-ink pb-1">{texts.hormone}</h2>
			{#each p.rows.filter((r) => r.hormone) as r (r.id)}
				<p class="mt-2">
					<strong>{r.code ?? r.kindName}</strong>{texts.powderOfTipOut(
						r.hormone!.powder,
						r.hormone!.grams < 1 ? texts.aKnifeTip : `${Math.ceil(r.hormone!.grams)} g`,
						sayNumber(r.hormone!.dip[0]),
						sayNumber(r.hormone!.dip[1]),
						r.hormone!.dipMl
					)}
				</p>
			{:else}<p class="mt-2 text-faded">
					{p.rows.length ? texts.noneIsNeededFor : texts.byTheWoodSoft}
				</p>{/each}
			<Thin open={p.rows.some((r) => r.hormone)} />
		</section>
		{#if p.rows.length}{@render reckoning()}{/if}
		<Fold label={texts.whatIsOnThe}>
			<EntryForm action="?/shelf" submit={texts.noteIt} today={data.garden.today} noted={false} dated={false} quiet>
				<SelectField
					label={texts.material}
					name="material"
					value={p.shelf[0]!.id}
					items={p.shelf.map((m) => ({
						value: m.id,
						name: `${m.name}${m.litres ? `, ${Math.round(m.litres * 10) / 10} L` : ''}`
					}))}
				/>
				<Field label={texts.litresAtHand} name="litres" numeric maxlength={10} />
			</EntryForm>
		</Fold>
		<OwnVessel today={data.garden.today} {units} />
		<Feed />
		<Fold label={texts.mixesAndWhatThey}>
			<ul class="ruled">
				{#each data.mixes as m (m.id)}<li class="py-2">
						<strong>{m.name}</strong>: {m.for} <span class="note">{texts.shrinksBy(Math.round(m.shrinkage * 100))}</span>
					</li>{/each}
			</ul>
		</Fold>
	</div>
</div>

{#snippet reckoning()}
	<section>
		<h2 class="border-b border-ink pb-1">{texts.workItOutFor}</h2>
		<div class="mt-2 grid grid-cols-2 gap-3">
			<div class="col-span-2">
				<ChoiceField
					label={texts.kind}
					name="kind"
					bind:value={kind}
					placeholder={texts.typeAnyNameOf}
					items={data.kinds.map((k) => ({ value: k.id, name: k.name, also: k.also }))}
				/>
			</div>
			<SelectField label={texts.way} name="way" bind:value={way} items={ways.map((w) => ({ value: w.id, name: w.name }))} />
			<NumberBox label={texts.pieces} min={1} max={5000} bind:value={n} />
			<div class="col-span-2">
				<SelectField
					label={texts.inWord}
					name="in"
					bind:value={vessel}
					items={[{ value: '', name: texts.asTheHandbookHas }, ...p.vessels.map((v) => ({ value: v.id, name: v.name }))]}
				/>
			</div>
		</div>
		<Field
			label={texts.mixInParts}
			name="medium"
			bind:value={medium}
			maxlength={120}
			placeholder={texts.aRecipeAsWritten}
			hint={texts.emptyAsTheHandbook}
		/>
		<Act class="mt-3" onclick={reckon} disabled={!kind}>{texts.workItOut}</Act>
	</section>
{/snippet}
