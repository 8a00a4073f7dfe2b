<script lang="ts">
	import { texts } from '$lib/messages/handbook.js';
	import Trail from '$lib/ui/Trail.svelte';
	import Checkbox from 'flowbite-svelte/Checkbox.svelte';
	import Textarea from 'flowbite-svelte/Textarea.svelte';
	// Who: a gardener whose plant the book lacks, label in hand. Question: what does it behave like, and what is different?
	// Computed: all that plans need, taken from that kind. Biggest: the kind it begins from, with its ways to keep.
	// At 390 px: one column: name, likeness, ways, figures.
	import { shortMeasure, warmthMeasure } from '$lib/core/units/index.js';
	import type { Measure } from '$lib/core/units/index.js';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import Field from '$lib/ui/Field.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import { untrack } from 'svelte';
	import { steady } from '$lib/ui/steady.js';
	import type { PageData } from './$types';
	let { data }: { data: PageData } = $props();
	const base = $derived(`/g/${data.garden.slug}`);
	const units = $derived(data.garden.units);
	const mine = $derived(data.mine);
	let like = $state(untrack(() => data.likeAsked));
	let find = $state('');
	let other = $state('');
	let yaml = $state('');
	let protection = $state(untrack(() => mine?.protection ?? 'unknown'));
	const fits = (text: string) => text.toLowerCase().includes(find.trim().toLowerCase());
	const choices = $derived([
		...data.habits
			.filter((h) => fits(h.name))
			.map((h) => ({ value: `habit/${h.id}`, name: texts.byItsHabit(h.name.toLowerCase()) })),
		...data.kinds.filter((k) => fits(k.names)).map((k) => ({ value: k.id, name: `${k.common} (${k.botanical})` }))
	]);
	$effect(() => {
		// A name that fits one kind alone is that kind.
		if (find.trim() !== '' && choices.length === 1) like = choices[0]!.value;
	});
	const likeId = $derived(data.habits.find((h) => `habit/${h.id}` === like)?.like ?? like);
	const from = $derived(data.kinds.find((k) => k.id === likeId) ?? mine ?? null);
	/** Ways kept: all of them when another kind is chosen to begin from. */
	const waysOf = (f: typeof from): string[] => f?.ways.map((w) => w.id) ?? [];
	const there = $derived.by(steady(() => waysOf(from)));
	let kept = $derived([...there]);
	const added = $derived(
		data.kinds.flatMap((k) =>
			k.ways
				.filter((w) => !from?.ways.some((own) => own.id === w.id))
				.map((w) => ({ value: `${k.id}/${w.id}`, name: texts.as(w.name, k.common.toLowerCase()) }))
		)
	);
	const warmth = $derived(warmthMeasure(units));
	const short = $derived(shortMeasure(units));
	/** What it begins with is shown, not filled in: what is left blank stays as it is there. */
	const asThere = (v: number, m: Measure) =>
		`${from?.common ?? ''}: ${String(m.shown(v, m.unit === 'in' ? 1 : 0)).replace('-', '−')} ${m.unit}`;
	const MOST_FILE_BYTES = 200_000;
	async function readFile(e: Event & { currentTarget: HTMLInputElement }) {
		const file = e.currentTarget.files?.[0];
		if (!file) return;
		yaml = file.size > MOST_FILE_BYTES ? texts.tooLongForOne(file.name) : await file.text();
	}
</script>

<svelte:head><title>{mine ? texts.change(mine.common) : texts.aKindOfYour} · {data.garden.name}</title></svelte:head>
<Trail to="{base}/handbook" name="Handbook" />
<div class="max-w-2xl">
	<h1>{mine ? texts.change(mine.common) : texts.aKindOfYour}</h1>
	<p class="mt-1 text-faded">
		{texts.nameItAndSay}
	</p>
	<div class="mt-6">
		<EntryForm
			action="?/set"
			submit={mine ? texts.keepTheChange : texts.addThisKind}
			today={data.garden.today}
			dated={false}
			noted={false}
			seen={mine ? { id: mine.subject, version: mine.version } : null}
		>
			<input type="hidden" name="subject" value={mine?.subject ?? ''} />
			<div class="grid gap-4 sm:grid-cols-2">
				<Field label={texts.name} name="common" value={mine?.common ?? ''} maxlength={60} hint={texts.asYouCallIt} />
				<Field label={texts.variety} name="cultivar" value={mine?.cultivar ?? ''} maxlength={60} hint={texts.ifItHasOne} />
				<Field
					label={texts.species}
					name="species"
					value={mine?.species ?? ''}
					maxlength={80}
					hint={texts.hibiscusSyriacusOrWhat}
				/>
				<Field label={texts.soldAs2} name="trade" value={mine?.trade ?? ''} maxlength={60} hint={texts.aTradeNameWhere} />
			</div>
			<div class="grid gap-4 sm:grid-cols-2">
				<Field label={texts.findAKindBy} name="find" type="search" bind:value={find} />
				<SelectField
					label={texts.itBehavesLike}
					name="like"
					bind:value={like}
					placeholder={mine ? texts.asItIsNow : texts.chooseAKindOr}
					items={choices}
				/>
			</div>
			{#if from}
				<fieldset>
					<legend class="font-semibold">{texts.waysThatItIs}</legend>
					{#each from.ways as w (from.id + w.id)}
						<Checkbox name="way" value={w.id} checked bind:group={kept}>{w.name}</Checkbox>
					{/each}
				</fieldset>
				<SelectField label={texts.andOneMoreWay} name="added" bind:value={other} placeholder={texts.noOther} items={added} />
				<div class="grid gap-4 sm:grid-cols-3">
					<Field
						label={texts.bearsColdDownTo}
						name="hardiness"
						unit={warmth.unit}
						numeric
						hint={asThere(from.hardinessC, warmth)}
					/>
					<Field label={texts.nightsItBearsIn} name="limit" unit={warmth.unit} numeric hint={asThere(from.limitC, warmth)} />
					<Field
						label={texts.priceOfOneBought}
						name="price"
						unit={data.garden.currency}
						numeric
						hint="{from.common}: {from.price} {data.garden.currency}"
					/>
					<Field label={texts.growsTall} name="height" unit={short.unit} numeric hint={asThere(from.heightCm, short)} />
					<Field label={texts.growsWide} name="spread" unit={short.unit} numeric hint={asThere(from.spreadCm, short)} />
					<Field label={texts.spacing} name="spacing" unit={short.unit} numeric hint={asThere(from.spacingCm, short)} />
				</div>
				<p class="note">{texts.whatYouLeaveBlank}</p>
			{/if}
			<div class="grid gap-4 sm:grid-cols-2">
				<SelectField
					label={texts.isItProtected}
					name="protection"
					bind:value={protection}
					items={[
						{ value: 'unknown', name: texts.iDontKnowAsk },
						{ value: 'free', name: texts.no },
						{ value: 'protected', name: texts.yesAPatentOr }
					]}
				/>
				{#if protection === 'protected'}
					<Field label={texts.untilTheYear} name="until" numeric value={mine?.until ?? ''} hint={texts.ifYouKnow} />
				{/if}
			</div>
		</EntryForm>
	</div>
	{#if !mine}
		<section class="mt-10 border-t border-ink pt-4">
			<h2>{texts.fromAFile}</h2>
			<p class="mt-1 text-faded">
				{texts.aKindThatSomeone}
			</p>
			<div class="mt-3">
				<EntryForm action="?/file" submit={texts.takeItIn} today={data.garden.today} dated={false} noted={false} quiet>
					<label class="block">
						<span class="mb-1 block font-semibold">{texts.theFileYaml}</span>
						<input
							type="file"
							accept=".yaml,.yml,text/yaml,application/yaml"
							onchange={readFile}
							class="block min-h-11 w-full max-w-md py-2 file:bg-bottle file:text-white"
						/>
					</label>
					<label class="block">
						<span class="mb-1 block font-semibold">{texts.whatIsInIt}</span>
						<Textarea name="yaml" rows={8} maxlength={200_000} class="w-full font-mono" bind:value={yaml} />
					</label>
				</EntryForm>
			</div>
		</section>
	{/if}
</div>
