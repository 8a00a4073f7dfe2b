<script lang="ts">
	import { texts } from '$lib/messages/wants.js';
	import { untrack } from 'svelte';
	import LeastHeight from '$lib/ui/LeastHeight.svelte';
	import OtherKinds from '$lib/ui/OtherKinds.svelte';
	import WouldDoFields from '$lib/ui/WouldDoFields.svelte';
	import Island from '$lib/ui/Island.svelte';
	import WouldTake from '$lib/ui/WouldTake.svelte';
	import ChoiceField from '$lib/ui/ChoiceField.svelte';
	import Chip from '$lib/ui/Chip.svelte';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import DayField from '$lib/ui/DayField.svelte';
	import Field from '$lib/ui/Field.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import Stepper from '$lib/ui/Stepper.svelte';
	import { PURPOSE_WORDS } from '$lib/ui/say.js';
	import GroundFields from './GroundFields.svelte';
	import { steady } from '$lib/ui/steady.js';
	import type { PageData } from './$types';
	let { data }: { data: PageData } = $props();

	type Purpose = keyof typeof PURPOSE_WORDS;
	const PURPOSES = Object.entries(PURPOSE_WORDS) as [keyof typeof PURPOSE_WORDS, string][];
	let purpose = $state<Purpose>('plants');
	const asked = $derived.by(steady(() => data.kind));
	let kindId = $derived(asked);
	let target = $state(untrack(() => data.count ?? 10));
	/** Plants that the measured ground asks for; null while it is not measured. */
	let onGround = $state<number | null>(null);
	let due = $state(untrack(() => data.nextAutumn));
	let confidence = $state(90);

	const kind = $derived(data.kinds.find((k) => k.id === kindId));
	const items = $derived(
		data.kinds.map((k) => ({ value: k.id, name: k.name, also: k.also, beside: k.have ? texts.youHaveStock : '' }))
	);
	const measured = $derived(purpose === 'hedge' || purpose === 'bed');
	/** What is set by measure or kept alive is of one kind. */
	const ofAny = $derived(purpose === 'plants' || purpose === 'gifts');
	let orKinds = $state<string[]>([]);
	/** The least height, as it is typed. */
	let least = $state('');
	/** What is kept alive is kept until winter is over: its day follows, unless another was typed. */
	$effect(() => {
		const keeps = purpose === 'keep';
		untrack(() => {
			if (keeps) [due, target] = [data.afterWinter, 1];
			else if (due === data.afterWinter) due = data.nextAutumn;
		});
	});
</script>

<svelte:head><title>{texts.aWant(data.garden.name)}</title></svelte:head>

<h1>{texts.whatShouldStandWhere}</h1>
<div class="mt-6 grid items-start gap-x-12 gap-y-6 md:grid-cols-[1.2fr_1fr]">
	<div>
		<EntryForm action="" submit={texts.writeItDownAnd} today={data.garden.today} dated={false}>
			<ChoiceField label={texts.kind} name="kind_id" bind:value={kindId} placeholder={texts.typeAnyNameOf} {items} />
			<fieldset>
				<legend class="mb-1 font-semibold">{texts.whatFor}</legend>
				<div class="flex flex-wrap gap-2">
					{#each PURPOSES as [value, name] (value)}
						<Chip type="radio" name="purpose" {value} checked={purpose === value} onchange={() => (purpose = value)}>{name}</Chip>
					{/each}
				</div>
			</fieldset>
			{#if purpose === 'hedge' || purpose === 'bed'}
				<GroundFields {purpose} spacingCm={kind?.spacingCm ?? null} units={data.garden.units} bind:count={onGround} />
			{:else}
				<Stepper
					label={purpose === 'keep' ? texts.howManyMustBe : texts.howMany}
					name="target"
					bind:value={target}
					min={1}
					max={2000}
				/>
			{/if}
			<DayField
				label={purpose === 'keep' ? texts.winterIsOverBy : purpose === 'gifts' ? texts.readyInTheirPots : texts.inTheGroundBy}
				name="due"
				bind:value={due}
			/>
			<div>
				<Stepper
					label={texts.howSure}
					name="confidence"
					bind:value={confidence}
					min={50}
					max={99}
					step={5}
					unit={texts.timesIn100}
					hint={texts.n90IsUsual99}
				/>
			</div>
			<Island
				><SelectField
					label={texts.where}
					name="place_id"
					placeholder={texts.noPlaceYet}
					value={data.place}
					items={[{ value: '', name: texts.noPlaceYet }, ...data.places.map((p) => ({ value: p.id, name: p.name }))]}
				/>
				{#if kind?.growsTall && purpose !== 'keep'}
					<LeastHeight units={data.garden.units} pots={purpose === 'gifts'} bind:text={least} />
				{/if}
				{#if ofAny}<OtherKinds kind={kindId} {items} onchange={(chosen) => (orKinds = chosen)} />{/if}
				<WouldDoFields oneAge={purpose === 'hedge'} />
				<Field label={texts.inYourWords} name="label" placeholder={texts.forThePathEdge} maxlength={120} /></Island
			>
		</EntryForm>
	</div>
	<div class="md:sticky md:top-4">
		<WouldTake
			base="/g/{data.garden.slug}"
			kind={kindId}
			orKinds={ofAny ? orKinds : []}
			{purpose}
			least={kind?.growsTall && purpose !== 'keep' ? least : ''}
			target={measured ? onGround : target}
			{due}
			{confidence}
			currency={data.garden.currency}
		/>
	</div>
</div>
