<script lang="ts">
	/** The garden as it is told: frost, places, what this device shows, links, copies. */
	import { texts } from '$lib/messages/garden.js';
	import Hand from '$lib/ui/Hand.svelte';
	import Look from '$lib/ui/Look.svelte';
	import Act from '$lib/ui/Act.svelte';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import GardenFields from '$lib/ui/GardenFields.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import Links from './Links.svelte';
	import Places from './Places.svelte';
	import type { ActionData, PageData } from './$types';

	let { data, form }: { data: PageData; form: ActionData } = $props();
	const units = $derived(data.garden.units);
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
		<Places places={data.places} {units} today={data.garden.today} />
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
		<Links links={data.links} {form} />
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
