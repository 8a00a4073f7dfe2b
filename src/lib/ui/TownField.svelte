<script lang="ts">
	/** Where the garden is: a town by any of its names, or where this device stands. What is typed may also be no town. */
	import { texts } from '$lib/messages/garden.js';
	import { Combobox } from 'bits-ui';
	import Label from 'flowbite-svelte/Label.svelte';
	import { onMount } from 'svelte';
	import LocateFixed from '@lucide/svelte/icons/locate-fixed';
	import { sayDistance } from '$lib/core/units/index.js';
	import Act from './Act.svelte';
	import Field from './Field.svelte';
	import Says from './Says.svelte';
	import { problemFor } from './form.js';
	import type { Town } from '$lib/formats/town.js';
	import type { GardenTyped } from './gardenTyped.svelte.js';

	let { typed }: { typed: GardenTyped } = $props();
	const uid = $props.id();
	const wrong = problemFor(() => 'place');
	const hint = texts.anySpellingWillDo;

	let alive = $state(false);
	let towns = $state.raw<Town[]>([]);
	let open = $state(false);
	/** Looking; told that nothing is called so. */
	let looking = $state(false);
	let trouble = $state('');
	let canTell = $state(false);
	let finding = $state(false);

	const PAUSE_MS = 150;
	const keyOf = (t: Town) => `${t.name} ${t.latitude} ${t.longitude}`;
	let timer: ReturnType<typeof setTimeout> | undefined;
	let going: AbortController | undefined;

	async function ask(query: string): Promise<Town[]> {
		going?.abort();
		going = new AbortController();
		const answer = await fetch(`/api/towns?${query}`, { signal: going.signal });
		if (!answer.ok) throw new Error();
		return ((await answer.json()) as { towns: Town[] }).towns;
	}
	function look(text: string) {
		clearTimeout(timer);
		trouble = '';
		if (text.trim().length < 2) {
			towns = [];
			open = false;
			return;
		}
		looking = true;
		timer = setTimeout(() => {
			ask(`q=${encodeURIComponent(text)}`)
				.then((found) => {
					towns = found;
					looking = false;
					open = true;
				})
				.catch((e: Error) => {
					if (e.name === 'AbortError') return;
					looking = false;
					trouble = texts.theListOfTowns;
				});
		}, PAUSE_MS);
	}
	function here() {
		finding = true;
		trouble = '';
		navigator.geolocation.getCurrentPosition(
			({ coords }) => {
				// A hundredth of a degree is a kilometre: no more is asked of where somebody lives.
				const at = { latitude: Math.round(coords.latitude * 100) / 100, longitude: Math.round(coords.longitude * 100) / 100 };
				ask(`lat=${at.latitude}&lon=${at.longitude}`)
					.then(([t]) => {
						if (t) typed.take(t, at);
						else trouble = texts.noTownIsKnown;
					})
					.catch(() => (trouble = texts.theListOfTownsDoes))
					.finally(() => (finding = false));
			},
			() => {
				finding = false;
				trouble = texts.thisDeviceDidNot;
			},
			{ timeout: 15_000, maximumAge: 3_600_000 }
		);
	}
	onMount(() => {
		alive = true;
		canTell = window.isSecureContext && 'geolocation' in navigator;
		// A town typed before the page came alive is looked up then.
		if (typed.place && typed.latitude === '') look(typed.place);
	});
</script>

{#if !alive}
	<Field label={texts.nearestTown} name="place" bind:value={typed.place} maxlength={120} {hint} />
{:else}
	<div>
		<Label for={uid}>{texts.nearestTown}</Label>
		<div class="flex items-stretch gap-2">
			<Combobox.Root
				type="single"
				bind:open
				inputValue={typed.place}
				onValueChange={(key) => {
					const t = towns.find((o) => keyOf(o) === key);
					if (t) typed.take(t);
				}}
			>
				<Combobox.Input
					id={uid}
					name="place"
					maxlength={120}
					autocomplete="off"
					class="min-h-12 w-full min-w-0 border border-edge bg-field px-3 py-1.5 text-base text-ink focus:border-bottle focus:ring-0"
					aria-invalid={wrong() ? 'true' : undefined}
					aria-describedby="{uid}-say"
					oninput={(e) => {
						typed.place = e.currentTarget.value;
						look(typed.place);
					}}
				/>
				<Combobox.Portal disabled>
					<Combobox.Content
						sideOffset={2}
						class="z-50 max-h-80 w-(--bits-combobox-anchor-width) overflow-y-auto border border-bottle bg-pane text-ink shadow-lg"
					>
						{#each towns as t (keyOf(t))}
							<Combobox.Item
								value={keyOf(t)}
								label={t.name}
								class="flex min-h-11 cursor-pointer items-center justify-between gap-3 border-b border-rule px-3 py-1 data-highlighted:bg-primary-100"
							>
								<span
									>{t.name}{#if t.near}{texts.near(t.near)}{/if}</span
								>
								<span class="note shrink-0 text-right"
									>{sayDistance(Math.round(t.heightM), { length: t.us ? 'us' : 'metric', temperature: 'C' })}</span
								>
							</Combobox.Item>
						{:else}
							<p class="px-3 py-2 text-faded">{texts.noTownIsCalled}</p>
						{/each}
					</Combobox.Content>
				</Combobox.Portal>
			</Combobox.Root>
			{#if canTell}
				<Act type="button" class="shrink-0" onclick={here} disabled={finding}>
					<LocateFixed size={20} aria-hidden="true" />{finding ? texts.looking : texts.imHere}
				</Act>
			{/if}
		</div>
		<Says id="{uid}-say" wrong={wrong() ?? (trouble || null)} hint={looking ? texts.looking : hint} />
	</div>
{/if}
