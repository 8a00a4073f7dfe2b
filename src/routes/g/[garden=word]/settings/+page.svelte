<script lang="ts">
	import { texts } from '$lib/messages/garden.js';
	import Note from '$lib/ui/Note.svelte';
	import Hand from '$lib/ui/Hand.svelte';
	import Look from '$lib/ui/Look.svelte';
	import Act from '$lib/ui/Act.svelte';
	import { PLACE_KINDS } from '$lib/core/places.js';
	import type { PlaceKind } from '$lib/core/places.js';
	import { areaMeasure, sayArea, sayTemperature, warmthMeasure } from '$lib/core/units/index.js';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import Field from '$lib/ui/Field.svelte';
	import GardenFields from '$lib/ui/GardenFields.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import Stepper from '$lib/ui/Stepper.svelte';
	import { BODIES } from '$lib/core/shelter/bodies.js';
	import { COMPASS, GLASSES } from '$lib/core/shelter/light.js';
	import { BODY_WORDS, COMPASS_WORDS, GLASS_WORDS, LIGHT_WORDS, PLACE_WORDS, SORT_WORDS } from '$lib/ui/say.js';
	import { enhance } from '$app/forms';
	import type { ActionData, PageData } from './$types';
	let { data, form }: { data: PageData; form: ActionData } = $props();
	const units = $derived(data.garden.units);
	type Place = PageData['places'][number];
	let editing = $state<Place | 'new' | null>(null);
	const edited = $derived(editing && editing !== 'new' ? editing : null);
	/** Places under a roof that another may be a level of. */
	const wholes = $derived(data.places.filter((p) => !p.closed && !p.level_of && p.id !== edited?.id && BODIES[p.kind]));
	const LIGHT = Object.entries(LIGHT_WORDS).map(([value, name]) => ({ value, name }));
	const t = (c: number | null | undefined) => (c === null || c === undefined ? '' : String(warmthMeasure(units).shown(c, 0)));
	const room = (cm2: number | null | undefined) =>
		cm2 === null || cm2 === undefined ? '' : String(areaMeasure(units).shown(cm2 / 10_000, 2));
	let walk = $state(0);
	let kind = $state<string>('bed');
	/** As such a place usually is, or what else of its sort. */
	const bodies = $derived([
		{ value: '', name: PLACE_WORDS[kind as PlaceKind] },
		...(BODIES[kind] ?? [])
			.map((b) => ({ value: b, name: BODY_WORDS[b] }))
			.filter((b) => b.name !== PLACE_WORDS[kind as PlaceKind])
	]);
	function edit(p: Place | 'new') {
		editing = p;
		walk = p === 'new' ? data.places.length + 1 : p.walk;
		kind = p === 'new' ? 'bed' : p.kind;
	}
</script>

<svelte:head><title>{texts.gardenSettings(data.garden.name)}</title></svelte:head>
<div class="grid gap-12 lg:grid-cols-2">
	<section>
		<h1>{texts.theGarden}</h1>
		<p class="note">{texts.timeZoneFromThe(data.settings.time_zone)}</p>
		<div class="mt-4">
			{#key data.version}
				<EntryForm
					action="?/garden"
					submit={texts.save}
					today={data.garden.today}
					dated={false}
					noted={false}
					seen={{ id: data.garden.slug, version: data.garden.version }}
				>
					<GardenFields start={data.settings} year={data.year} />
					{#if !data.record.made}
						<SelectField
							label={texts.frostDatesAndColdest}
							name="frost_from"
							value={data.record.frostFrom}
							items={[
								{ value: 'record', name: texts.theWeatherRecords(data.record.from, data.record.to) },
								{ value: 'own', name: texts.myOwnAsGiven }
							]}
						/>
					{/if}
				</EntryForm>
			{/key}
		</div>
	</section>
	<section>
		<h2 id="places" class="text-2xl">{texts.placesInTheOrder}</h2>
		<ul class="ruled mt-3 border-y border-ink">
			{#each data.places as p (p.id)}
				<li class="flex items-center justify-between gap-4 py-2">
					<div>
						<p class="font-semibold">{p.walk}. {p.name}</p>
						<p class="note">
							{p.body ? BODY_WORDS[p.body] : PLACE_WORDS[p.kind]}, {LIGHT_WORDS[p.light]}{p.low_c !== null || p.high_c !== null
								? texts.to2(
										p.low_c === null ? '' : sayTemperature(p.low_c, units),
										p.high_c === null ? '' : sayTemperature(p.high_c, units)
									)
								: ''}{p.room_cm2 !== null ? `, ${sayArea(p.room_cm2 / 10_000, units)}` : ''}
						</p>
					</div>
					<Act onclick={() => edit(p)}>{texts.change}</Act>
				</li>
			{/each}
		</ul>
		<Act class="mt-3" onclick={() => edit('new')}>{texts.addAPlace}</Act>
		{#if editing}
			<div class="mt-4 border-t-4 border-catkin bg-pane p-4">
				<h3 class="mb-3">{edited ? edited.name : texts.aNewPlace}</h3>
				{#key edited?.id ?? 'new'}
					<EntryForm
						action="?/place"
						submit={texts.saveThePlace}
						today={data.garden.today}
						dated={false}
						noted={false}
						seen={edited}
						ondone={() => (editing = null)}
					>
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
									items={[
										{ value: '', name: texts.notToldOrNone },
										...COMPASS.map((c) => ({ value: c, name: COMPASS_WORDS[c] }))
									]}
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
							<Field
								label={texts.roomForPots}
								name="room"
								value={room(edited?.room_cm2)}
								unit={areaMeasure(units).unit}
								numeric
							/>
							<Stepper label={texts.orderOfTheWalk} name="walk" bind:value={walk} max={999} />
						</div>
					</EntryForm>
					{#if edited}
						<div class="mt-3">
							<EntryForm
								action="?/close"
								submit={texts.closeThisPlace}
								today={data.garden.today}
								dated={false}
								noted={false}
								quiet
								ondone={() => (editing = null)}><input type="hidden" name="place" value={edited.id} /></EntryForm
							>
						</div>
					{/if}
				{/key}
			</div>
		{/if}
		<h2 class="mt-10 text-2xl">{texts.howThisDeviceShows}</h2>
		<div class="mt-2"><Look /></div>
		<div class="mt-4"><Hand /></div>
		<h2 class="mt-10 text-2xl">{texts.whereTheWeatherComes}</h2>
		<p class="mt-2">
			{#if data.record.made}{texts.aMadeRecordOf(data.record.years)}
			{:else}{texts.aRecordOfWhole(data.record.years, data.record.from, data.record.to)}{/if}
			{data.station ? texts.aWeatherStationTells : texts.noWeatherStationIs}
			<a href="/g/{data.garden.slug}/weather">{texts.seeTheWeather}</a>
			{texts.or}
			<a href="/g/{data.garden.slug}/weather/import">{texts.takeInARecord}</a>.
		</p>
		<h2 class="mt-10 text-2xl">{texts.linksAndSensors}</h2>
		<p class="mt-1 text-faded">
			{texts.aThermometerMaySend}
		</p>
		{#if form?.link}
			<Note tone="now" class="mt-3 bg-pane py-3" role="status">
				<p class="font-semibold">
					{form.link.purpose === 'calendar' ? texts.subscribeToThisAddress : texts.sendThisTokenWith}
				</p>
				<p class="mt-1 font-mono break-all select-all">{form.link.secret}</p>
				<p class="note mt-1">{texts.itWillNotBe}</p>
			</Note>
		{/if}
		{#if form?.problem}<p role="alert" class="mt-3 text-madder">{form.problem.sentence}</p>{/if}
		<ul class="ruled mt-3">
			{#each data.links as d (d.id)}
				<li class="flex flex-wrap items-center justify-between gap-3 py-2">
					<span
						><span class="font-semibold"
							>{d.purpose === 'calendar' ? texts.calendar : texts.readings}{d.label ? `, ${d.label}` : ''}</span
						>
						<span class="note">{texts.made(d.made, d.used ? texts.lastUsed(d.used) : texts.notUsedYet)}</span></span
					>
					<form method="POST" action="?/end" use:enhance>
						<input type="hidden" name="id" value={d.id} /><Act type="submit" aria-label={texts.end(d.purpose, d.label)}
							>{texts.endIt}</Act
						>
					</form>
				</li>
			{/each}
		</ul>
		<form method="POST" action="?/link" use:enhance class="mt-3 grid items-end gap-3 sm:grid-cols-[1.5fr_1fr_auto]">
			<SelectField
				label={texts.aNewOneFor}
				name="purpose"
				value="readings"
				items={[
					{ value: 'readings', name: texts.readingsOfThermometers },
					{ value: 'calendar', name: texts.theRoundInA }
				]}
			/>
			<Field label={texts.whatItIsFor} name="label" maxlength={80} placeholder={texts.garageSensor} />
			<Act type="submit">{texts.makeIt}</Act>
		</form>
		<h2 class="mt-10 text-2xl">{texts.copies}</h2>
		<p class="mt-1 max-w-prose text-faded">
			{texts.anArchiveHoldsThis}
			{#if data.backups}{texts.theWholeHouseIs} <code class="break-all">{data.backups}</code>
				{texts.onTheComputerThat}{/if}
		</p>
		<p class="mt-3"><Act href="/g/{data.garden.slug}/archive.zip" download>{texts.saveAnArchive}</Act></p>
		<h2 class="mt-10 text-2xl">{texts.gardensOfThisHousehold}</h2>
		<ul class="ruled mt-2">
			{#each data.gardens as g (g.slug)}<li class="py-2">
					<a class="lone" href="/g/{g.slug}/round">{g.name}</a>{g.slug === data.garden.slug ? texts.thisOne : ''}
				</li>{/each}
		</ul>
		<p class="mt-3"><Act href="/new">{texts.addAGarden}</Act></p>
		{#if data.canSignOut}<form method="POST" action="/sign-in?/out" class="mt-6">
				<Act type="submit">{texts.signOut}</Act>
				<Act type="submit" formaction="/sign-in?/everywhere">{texts.signOutOnEvery}</Act>
			</form>{/if}
	</section>
</div>
