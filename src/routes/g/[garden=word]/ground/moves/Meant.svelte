<script lang="ts">
	/** Where is each to go, by when, and where does it wait? */
	import { texts } from '$lib/messages/ground.js';
	import Checkbox from 'flowbite-svelte/Checkbox.svelte';
	import { goto } from '$app/navigation';
	import Act from '$lib/ui/Act.svelte';
	import DayField from '$lib/ui/DayField.svelte';
	import Field from '$lib/ui/Field.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import { daysRead } from '$lib/ui/daysRead.js';
	import { steady } from '$lib/ui/steady.js';
	import { longMeasure } from '$lib/core/units/index.js';
	import type { PageData } from './$types';

	let { data }: { data: PageData } = $props();
	const long = $derived(longMeasure(data.garden.units));
	const shownSpot = (spot: readonly number[] | null) =>
		spot ? spot.map((m) => Math.round(long.shown(m) * 100) / 100).join(' ') : '';
	const asked = $derived.by(steady(() => data.asked));
	const meant = $derived.by(steady(() => data.meant));
	let to = $derived<Record<string, string>>(Object.fromEntries(Object.entries(asked).map(([id, a]) => [id, a.to])));
	let spots = $derived<Record<string, string>>(
		Object.fromEntries(Object.entries(asked).map(([id, a]) => [id, shownSpot(a.spot)]))
	);
	let by = $derived(meant.by ?? '');
	let weekends = $derived(meant.weekends);
	let hold = $derived(meant.hold ?? '');
	let wrong = $state('');
	const items = (id: string) => [
		{ value: '', name: 'stays' },
		...data.beds.map((b) => ({ value: `bed:${b.id}`, name: texts.toAFreeSpot(b.name) })),
		...data.stocks.filter((s) => s.id !== id).map((s) => ({ value: `at:${s.id}`, name: texts.toWhereStands(s.name) }))
	];
	const measured = (id: string) => data.beds.find((b) => to[id] === `bed:${b.id}`)?.measured === true;
	async function ask() {
		await daysRead();
		wrong = '';
		const moves = Object.entries(to).flatMap(([id, v]) => {
			if (v === '') return [];
			const typed = measured(id) ? (spots[id] ?? '').trim() : '';
			if (typed === '') return [`${id}~${v}`];
			const read = typed.split(/[\s;]+/).map((t) => long.read(t));
			if (read.length !== 2 || read.some((m) => m === null)) wrong = texts.aSpotIsTwo(long.unit);
			return [`${id}~${v}@${read.map((m) => Math.round((m ?? 0) * 1000) / 1000).join('_')}`];
		});
		if (wrong) return;
		const query = new URLSearchParams({
			m: moves.join(','),
			...(by ? { by } : {}),
			...(weekends ? { weekends: 'on' } : {}),
			...(hold ? { hold } : {})
		});
		// The answer stands at the top.
		void goto(`?${query.toString()}`);
	}
</script>

<form
	onsubmit={(e) => {
		e.preventDefault();
		void ask();
	}}
>
	<ul class="mt-2 grid gap-x-6 gap-y-3 lg:grid-cols-2">
		{#each data.stocks as s (s.id)}
			<li>
				<SelectField
					label="{s.count > 1 ? `${s.count} ` : ''}{s.name}, {s.bed}"
					name="to-{s.id}"
					items={items(s.id)}
					bind:value={() => to[s.id] ?? '', (v) => (to = { ...to, [s.id]: v })}
				/>
				{#if measured(s.id)}<Field
						label={texts.spotOfFromThe(s.name)}
						name="spot-{s.id}"
						unit={long.unit}
						hint={texts.leftBlankOneIs}
						bind:value={() => spots[s.id] ?? '', (v) => (spots = { ...spots, [s.id]: String(v) })}
					/>{/if}
			</li>
		{/each}
	</ul>
	<div class="mt-6 grid gap-x-6 gap-y-3 lg:grid-cols-2">
		<DayField label={texts.allDoneBy} name="by" bind:value={by} hint={texts.leftBlankEachIn} />
		<SelectField
			label={texts.whatHasToWait}
			name="hold"
			items={[{ value: '', name: texts.nobodyHasSaid }, ...data.holds.map((p) => ({ value: p.id, name: p.name }))]}
			bind:value={hold}
		/>
		<Checkbox bind:checked={weekends}>{texts.onlyAtWeekends}</Checkbox>
	</div>
	{#if wrong}<p class="mt-2 text-madder" role="alert">{wrong}</p>{/if}
	<div class="mt-4"><Act type="submit" main>{texts.findTheOrder}</Act></div>
</form>
