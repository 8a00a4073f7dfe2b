<script lang="ts">
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
			.map((h) => ({ value: `habit/${h.id}`, name: `By its habit: ${h.name.toLowerCase()}` })),
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
	let kept = $derived(waysOf(from));
	const added = $derived(
		data.kinds.flatMap((k) =>
			k.ways
				.filter((w) => !from?.ways.some((own) => own.id === w.id))
				.map((w) => ({ value: `${k.id}/${w.id}`, name: `${w.name}, as ${k.common.toLowerCase()}` }))
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
		yaml = file.size > MOST_FILE_BYTES ? `# ${file.name} is too long to be one kind.` : await file.text();
	}
</script>

<svelte:head><title>{mine ? `Change ${mine.common}` : 'A kind of your own'} · {data.garden.name}</title></svelte:head>
<Trail to="{base}/handbook" name="Handbook" />
<div class="max-w-2xl">
	<h1>{mine ? `Change ${mine.common}` : 'A kind of your own'}</h1>
	<p class="mt-1 text-faded">
		Name it and say what it behaves like. Windows, odds, pots and winters begin as that kind’s; your own counts teach them from
		then on.
	</p>
	<div class="mt-6">
		<EntryForm
			action="?/set"
			submit={mine ? 'Keep the change' : 'Add this kind'}
			today={data.garden.today}
			dated={false}
			noted={false}
			seen={mine ? { id: mine.subject, version: mine.version } : null}
		>
			<input type="hidden" name="subject" value={mine?.subject ?? ''} />
			<div class="grid gap-4 sm:grid-cols-2">
				<Field label="Name" name="common" value={mine?.common ?? ''} maxlength={60} hint="As you call it: Hibiscus." />
				<Field label="Variety" name="cultivar" value={mine?.cultivar ?? ''} maxlength={60} hint="If it has one: Woodbridge." />
				<Field
					label="Species"
					name="species"
					value={mine?.species ?? ''}
					maxlength={80}
					hint="Hibiscus syriacus; or what stands on its label."
				/>
				<Field
					label="Sold as"
					name="trade"
					value={mine?.trade ?? ''}
					maxlength={60}
					hint="A trade name, where that is not the variety’s."
				/>
			</div>
			<div class="grid gap-4 sm:grid-cols-2">
				<Field label="Find a kind by any name" name="find" type="search" bind:value={find} />
				<SelectField
					label="It behaves like"
					name="like"
					bind:value={like}
					placeholder={mine ? 'as it is now' : 'Choose a kind or a habit'}
					items={choices}
				/>
			</div>
			{#if from}
				<fieldset>
					<legend class="font-semibold">Ways that it is multiplied</legend>
					{#each from.ways as w (from.id + w.id)}
						<Checkbox name="way" value={w.id} checked bind:group={kept}>{w.name}</Checkbox>
					{/each}
				</fieldset>
				<SelectField label="And one more way" name="added" bind:value={other} placeholder="no other" items={added} />
				<div class="grid gap-4 sm:grid-cols-3">
					<Field label="Bears cold down to" name="hardiness" unit={warmth.unit} numeric hint={asThere(from.hardinessC, warmth)} />
					<Field label="Nights it bears in growth" name="limit" unit={warmth.unit} numeric hint={asThere(from.limitC, warmth)} />
					<Field
						label="Price of one, bought"
						name="price"
						unit={data.garden.currency}
						numeric
						hint="{from.common}: {from.price} {data.garden.currency}"
					/>
					<Field label="Grows tall" name="height" unit={short.unit} numeric hint={asThere(from.heightCm, short)} />
					<Field label="Grows wide" name="spread" unit={short.unit} numeric hint={asThere(from.spreadCm, short)} />
					<Field label="Spacing" name="spacing" unit={short.unit} numeric hint={asThere(from.spacingCm, short)} />
				</div>
				<p class="note">What you leave blank stays as there. Every other figure can be changed on its page.</p>
			{/if}
			<div class="grid gap-4 sm:grid-cols-2">
				<SelectField
					label="Is it protected?"
					name="protection"
					bind:value={protection}
					items={[
						{ value: 'unknown', name: 'I don’t know: ask me to look at the label' },
						{ value: 'free', name: 'No' },
						{ value: 'protected', name: 'Yes: a patent or breeder’s right' }
					]}
				/>
				{#if protection === 'protected'}
					<Field label="Until the year" name="until" numeric value={mine?.until ?? ''} hint="If you know." />
				{/if}
			</div>
		</EntryForm>
	</div>
	{#if !mine}
		<section class="mt-10 border-t border-ink pt-4">
			<h2>From a file</h2>
			<p class="mt-1 text-faded">
				A kind that someone passed on, or that you wrote as the handbook’s are written. Any kind’s page gives such a file.
			</p>
			<div class="mt-3">
				<EntryForm action="?/file" submit="Take it in" today={data.garden.today} dated={false} noted={false} quiet>
					<label class="block">
						<span class="mb-1 block font-semibold">The file (YAML)</span>
						<input
							type="file"
							accept=".yaml,.yml,text/yaml,application/yaml"
							onchange={readFile}
							class="block min-h-11 w-full max-w-md py-2 file:bg-bottle file:text-white"
						/>
					</label>
					<label class="block">
						<span class="mb-1 block font-semibold">What is in it</span>
						<Textarea name="yaml" rows={8} maxlength={200_000} class="w-full font-mono" bind:value={yaml} />
					</label>
				</EntryForm>
			</div>
		</section>
	{/if}
</div>
