<script lang="ts">
	/** A place: what it is, its light and glass, how warm it gets, its room. */
	import { texts } from '$lib/messages/garden.js';
	import { BODIES } from '$lib/core/shelter/bodies.js';
	import { COMPASS, GLASSES } from '$lib/core/shelter/light.js';
	import { PLACE_KINDS } from '$lib/core/places.js';
	import type { PlaceKind } from '$lib/core/places.js';
	import { areaMeasure, warmthMeasure } from '$lib/core/units/index.js';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import Field from '$lib/ui/Field.svelte';
	import { BODY_WORDS, COMPASS_WORDS, GLASS_WORDS, LIGHT_WORDS, PLACE_WORDS, SORT_WORDS } from '$lib/ui/say.js';
	import SelectField from '$lib/ui/SelectField.svelte';
	import Stepper from '$lib/ui/Stepper.svelte';
	import { steady } from '$lib/ui/steady.js';
	import type { PageData } from './$types';

	let {
		places,
		edited,
		units,
		today,
		ondone
	}: {
		places: PageData['places'];
		/** Null: a new one. */
		edited: PageData['places'][number] | null;
		units: PageData['garden']['units'];
		today: string;
		ondone: () => void;
	} = $props();
	const given = $derived.by(
		steady(() => ({ id: edited?.id, walk: edited?.walk ?? places.length + 1, kind: edited?.kind ?? 'bed' }))
	);
	let walk = $derived(given.walk);
	let kind = $derived<string>(given.kind);
	/** Places under a roof that another may be a level of. */
	const wholes = $derived(places.filter((p) => !p.closed && !p.level_of && p.id !== edited?.id && BODIES[p.kind]));
	const LIGHT = Object.entries(LIGHT_WORDS).map(([value, name]) => ({ value, name }));
	const t = (c: number | null | undefined) => (c === null || c === undefined ? '' : String(warmthMeasure(units).shown(c, 0)));
	const room = (cm2: number | null | undefined) =>
		cm2 === null || cm2 === undefined ? '' : String(areaMeasure(units).shown(cm2 / 10_000, 2));
	/** As such a place usually is, or what else of its sort. */
	const bodies = $derived([
		{ value: '', name: PLACE_WORDS[kind as PlaceKind] },
		...(BODIES[kind] ?? [])
			.map((b) => ({ value: b, name: BODY_WORDS[b] }))
			.filter((b) => b.name !== PLACE_WORDS[kind as PlaceKind])
	]);
</script>

<EntryForm action="?/place" submit={texts.saveThePlace} {today} dated={false} noted={false} seen={edited} {ondone}>
	{#if edited}<input type="hidden" name="place" value={edited.id} />{/if}
	<Field label={texts.name} name="name" value={edited?.name ?? ''} maxlength={80} />
	<div class="grid gap-4 sm:grid-cols-2">
		<SelectField
			label={texts.whatItIs}
			name="kind"
			bind:value={kind}
			items={PLACE_KINDS.map((k) => ({ value: k, name: SORT_WORDS[k] }))}
		/>
		{#if bodies.length > 1}
			{#key kind}<SelectField
					label={texts.moreExactly}
					name="body"
					value={edited?.kind === kind ? (edited.body ?? '') : ''}
					items={bodies}
					hint={texts.howItFollowsThe}
				/>{/key}
		{/if}
		{#if BODIES[kind] && wholes.length}
			<SelectField
				label={texts.aLevelOf}
				name="level_of"
				value={edited?.level_of ?? ''}
				items={[{ value: '', name: texts.noOtherPlace }, ...wholes.map((p) => ({ value: p.id, name: p.name }))]}
				hint={texts.asWarmAsThat}
			/>
		{/if}
		<SelectField label={texts.light} name="light" value={edited?.light ?? 'sun'} items={LIGHT} />
		{#if BODIES[kind] && kind !== 'ground'}
			<SelectField
				label={texts.itsWindowFaces}
				name="faces"
				value={edited?.faces ?? ''}
				items={[{ value: '', name: texts.notToldOrNone }, ...COMPASS.map((c) => ({ value: c, name: COMPASS_WORDS[c] }))]}
				hint={texts.forTheLightThere}
			/>
			<SelectField
				label={texts.glass}
				name="glass"
				value={edited?.glass ?? ''}
				items={[{ value: '', name: 'usual' }, ...GLASSES.map((g) => ({ value: g, name: GLASS_WORDS[g] }))]}
			/>
			<Field
				label={texts.lampAtTheLeaves}
				name="lamp_umol"
				value={edited?.lamp_umol === null || edited?.lamp_umol === undefined ? '' : String(edited.lamp_umol)}
				unit={texts.mol}
				numeric
				hint={texts.byItsMakerOn}
			/>
			<Field
				label={texts.lampHoursADay}
				name="lamp_hours"
				value={edited?.lamp_hours === null || edited?.lamp_hours === undefined ? '' : String(edited.lamp_hours)}
				unit="h"
				numeric
			/>
		{/if}
		<Field
			label={texts.lowestItGets}
			name="low"
			value={t(edited?.low_c)}
			unit="°{units.temperature}"
			numeric
			hint={texts.blankOutdoors}
		/>
		<Field label={texts.highest} name="high" value={t(edited?.high_c)} unit="°{units.temperature}" numeric />
		<Field label={texts.roomForPots} name="room" value={room(edited?.room_cm2)} unit={areaMeasure(units).unit} numeric />
		<Stepper label={texts.orderOfTheWalk} name="walk" bind:value={walk} max={999} />
	</div>
</EntryForm>
{#if edited}
	<div class="mt-3">
		<EntryForm action="?/close" submit={texts.closeThisPlace} {today} dated={false} noted={false} quiet {ondone}
			><input type="hidden" name="place" value={edited.id} /></EntryForm
		>
	</div>
{/if}
