<script lang="ts">
	/** Plants with their odds where they stand, the most endangered first, and where else they could be tried. */
	import { texts } from '$lib/messages/shelter.js';
	import Select from 'flowbite-svelte/Select.svelte';
	import { sayOdds } from '$lib/core/odds/words.js';
	import { sayTemperature } from '$lib/core/units/index.js';
	import type { UnitChoice } from '$lib/core/units/index.js';
	import type { Put, Standing } from './arrangement.js';

	interface Props {
		all: readonly Standing[];
		places: ReadonlyMap<string, string>;
		base: string;
		units: UnitChoice;
		onput: (id: string, put: Put) => void;
	}
	let { all, places, base, units, onput }: Props = $props();
	/** All of it, and of many half or a quarter. */
	const parts = (count: number) => [
		...new Set([count, Math.ceil(count / 2), Math.ceil(count / 4)].filter((n) => n === count || n > 1))
	];
	const options = (s: Standing) =>
		s.lodger.choices.flatMap((c) => {
			const there = places.get(c.placeId ?? '');
			const place = there ?? (c.placeId === null ? texts.outside : texts.whereItStands);
			return (there ? parts(s.lodger.count) : [s.lodger.count]).map((keeps) => ({
				value: valueOf(c.placeId, keeps),
				name: `${place}${keeps < s.lodger.count ? texts.ofWord2(keeps, s.lodger.count) : ''}: ${sayOdds(c.chance)}`
			}));
		});
	const valueOf = (placeId: string | null, keeps: number) => `${placeId ?? ''} ${keeps}`;
	/** What stands outside has its first choice there. */
	const placed = (s: Standing) =>
		valueOf(s.at !== null && places.has(s.at) ? s.at : (s.lodger.choices[0]?.placeId ?? null), s.keeps);
	const read = (value: string): Put => {
		const [placeId, keeps] = value.split(' ');
		return { placeId: placeId || null, keeps: Number(keeps) };
	};
</script>

<ul class="ruled {all.length > 50 ? 'long' : ''}">
	{#each all as s (s.lodger.id)}
		{@const l = s.lodger}
		<li class="grid grid-cols-[1fr_auto] items-baseline gap-x-4 py-2">
			<a class="lone min-w-0 font-semibold" href="{base}/shelter/{l.id}">
				<span class="min-w-0 wrap-anywhere">
					{#if l.code}<span class="font-mono font-normal whitespace-nowrap">{l.code}</span>{/if}
					{l.name}{#if l.count > 1}<span class="font-normal">, {l.count}</span>{/if}
				</span>
			</a>
			<span class="text-right {s.chance < 0.5 ? 'font-semibold text-madder' : ''}">{sayOdds(s.chance)}</span>
			<p class="note col-span-2">
				{texts.about(
					l.count > 1 ? texts.theyBear : texts.itBears,
					sayTemperature(l.bearsC, units),
					l.needs ? '' : texts.andWouldLiveOutside
				)}
				{#if s.at !== s.from || s.keeps < l.count}{texts.triedHere(
						s.keeps < l.count ? texts.ofThem(s.keeps) : '',
						s.from === null ? texts.itStandsOutside : texts.itStandsAt(places.get(s.from) ?? '')
					)}
				{:else if l.pinned}{texts.thereYouSaidSo(l.count > 1 ? texts.theyStay : texts.itStays)}
				{:else if l.better}
					{l.better.chance > s.chance + 0.02 ? texts.better : texts.toMakeRoom}: {l.better.place},
					<strong>{sayOdds(l.better.chance)}</strong>{l.better.fits
						? l.better.keeps < l.count
							? texts.forThemNoMore(l.better.keeps)
							: '.'
						: texts.butNoRoomIs}
				{:else if l.needs && s.chance < 0.5}<a class="underline" href="{base}/shelter/{l.id}">{texts.whatElseCanBe}</a>
				{/if}
			</p>
			{#if l.choices.length > 1}
				<div class="no-print col-span-2 mt-1 max-w-sm">
					<Select
						aria-label={texts.whereWouldGo(l.code ?? l.name)}
						items={options(s)}
						placeholder=""
						value={placed(s)}
						onchange={(e) => onput(l.id, read(e.currentTarget.value))}
					/>
				</div>
			{/if}
		</li>
	{/each}
</ul>
