<script lang="ts">
	import { texts } from '$lib/messages/round.js';
	import Act from '$lib/ui/Act.svelte';
	import { sayOddsShort } from '$lib/core/odds/words.js';
	/** One piece of work: what, why, and one tap to log it; the rest opens when asked for. */
	import { addDays, isoOf, sayDate } from '$lib/core/dates.js';
	import { sayMinutes } from '$lib/core/units/index.js';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import DayField from '$lib/ui/DayField.svelte';
	import Field from '$lib/ui/Field.svelte';
	import SelectField from '$lib/ui/SelectField.svelte';
	import Stepper from '$lib/ui/Stepper.svelte';
	import type { ShownTask } from '$lib/server/roundShown.js';

	interface Props {
		task: ShownTask;
		base: string;
		today: string;
		isToday: boolean;
		mayWait: boolean;
		shelters: { id: string; name: string }[];
		/** Places under the sky. */
		outside: { id: string; name: string }[];
		/** Shown with the day it falls due, not in the order of the walk. */
		dated?: boolean;
		/** Id of the name of the place it stands under: the same work may be due at several. */
		placeAt?: string;
	}
	let { task, base, today, isToday, mayWait, shelters, outside, dated = false, placeAt = '' }: Props = $props();
	const uid = $props.id();
	const about = $derived(`${uid}-task ${placeAt}`.trim());
	let open = $state<'more' | 'count' | 'bring' | null>(null);
	/** Rooted or not is not asked: only what lives. */
	const batch = $derived(task.batchId ? { id: task.batchId, version: task.seen } : null);
	const livingOnly = $derived(task.work === 'winter-count' || task.work === 'frost-count');
	const frost = $derived(task.chance !== null && task.work !== 'harden' && task.work !== 'rain-ahead');
	const goals = $derived(task.log === 'out' ? outside : shelters);
	function bearing(c: (typeof task.carried)[number]): string {
		const full = shelters.find((s) => s.id === c.full)?.name;
		const where = c.to || task.log === 'out' ? '' : full ? texts.thereIsNoRoom(full) : texts.noneOfYourPlaces;
		return texts.bearsANightOf(c.bears, where);
	}
</script>

{#snippet work()}
	<input type="hidden" name="work" value={task.work} />
	<input type="hidden" name="place" value={task.placeId ?? ''} />
	{#if task.many}
		<input type="hidden" name="task" value={task.key} />
		<input type="hidden" name="many" value={task.many} />
	{:else}
		<input type="hidden" name="targets" value={task.targets.join(',')} />
	{/if}
	{#if task.batchId}<input type="hidden" name="batch" value={task.batchId} />{/if}
{/snippet}

<li class="py-3 first:pt-0">
	<div class="flex flex-wrap items-start justify-between gap-x-6 gap-y-2">
		<div class="min-w-0 flex-1 basis-64">
			<p class="text-lg leading-snug font-semibold" id="{uid}-task">
				{task.title}
				{#if task.code}<span class="ml-1 border border-ink px-1.5 font-mono text-base font-normal whitespace-nowrap"
						>{task.code}</span
					>{/if}
				{#if frost}<span class="ml-1 bg-frost/25 px-1.5 text-base font-normal whitespace-nowrap"
						>{sayOddsShort(task.chance!)}</span
					>{/if}
			</p>
			<p class="note">
				{#if task.late}<strong class="text-madder">{texts.lateWasDueBy(sayDate(isoOf(task.by), false))}</strong
					>{:else if dated}{texts.from(sayDate(isoOf(task.from), false))}{:else if task.by > task.from}{texts.by2(
						sayDate(isoOf(task.by), false)
					)}{/if}
				{task.why}
				{sayMinutes(Math.max(1, task.minutes))}{task.every && task.every < 7
					? texts.every(task.every === 1 ? texts.day : texts.days(task.every))
					: ''}.
				{#if mayWait}<strong>{texts.mayWait}</strong>{/if}
			</p>
			{#if task.ifMissed && task.chance !== null && task.work !== 'harden'}
				<p class="note">{texts.ifLeftAndIt(task.ifMissed, task.ifNeedless ?? '')}</p>
			{/if}
		</div>
		{#if isToday}
			<div class="flex flex-wrap gap-2">
				{#if task.log === 'tap'}
					<EntryForm action="?/done" submit={texts.done} {about} {today} dated={false} noted={false} quiet
						>{@render work()}</EntryForm
					>
				{:else if task.log === 'count'}
					{#if !livingOnly}
						<EntryForm action="?/well" submit={texts.allWell} {about} {today} dated={false} noted={false} seen={batch} quiet
							>{@render work()}</EntryForm
						>
					{/if}
					<Act
						aria-expanded={open === 'count'}
						aria-describedby={about}
						onclick={() => (open = open === 'count' ? null : 'count')}>{texts.count}</Act
					>
				{:else if task.log === 'bring' || task.log === 'out'}
					<Act
						main
						aria-expanded={open === 'bring'}
						aria-describedby={about}
						onclick={() => (open = open === 'bring' ? null : 'bring')}>{task.log === 'out' ? texts.takeOut : texts.bringIn}</Act
					>
				{:else if task.log === 'page'}
					<Act class="self-start" aria-describedby={about} href="{base}/{task.link}"
						>{task.work === 'strike'
							? texts.strike
							: task.work === 'decide' || task.work === 'missed'
								? texts.plan
								: texts.logIt}</Act
					>
				{/if}
				<Act
					aria-expanded={open === 'more'}
					aria-label={texts.skipOrPutOff(task.title)}
					aria-describedby={about}
					onclick={() => (open = open === 'more' ? null : 'more')}>{texts.notNow}</Act
				>
			</div>
		{/if}
	</div>
	{#if open === 'count'}
		<div class="mt-3 max-w-md border-l-4 border-leaf pl-4">
			<EntryForm action="?/count" submit={texts.saveTheCount} {today} dated={false} seen={batch} ondone={() => (open = null)}>
				{@render work()}
				<Stepper label={texts.alive} name="alive" value={task.count} min={0} max={task.count} />
				{#if !livingOnly}
					<Stepper label={texts.ofTheseRooted} name="rooted" value={0} min={0} max={task.count} />
				{/if}
			</EntryForm>
		</div>
	{:else if open === 'bring'}
		<div class="mt-3 max-w-md border-l-4 border-leaf pl-4">
			{#if goals.length}
				<EntryForm
					action="?/bring"
					submit={task.log === 'out' ? texts.takenOut : texts.broughtIn}
					{today}
					dated={false}
					noted={false}
					ondone={() => (open = null)}
				>
					{@render work()}
					{#if task.log === 'bring'}<p>
							{texts.beforeTheDoorLook}
						</p>{/if}
					{#each task.carried as c (c.id)}
						<SelectField
							label={c.name}
							name="to_{c.id}"
							value={c.to ?? goals[0]!.id}
							hint={bearing(c)}
							items={goals.map((s) => ({ value: s.id, name: s.name }))}
						/>
					{:else}
						<SelectField
							label={texts.whereTo}
							name="to"
							value={goals[0]!.id}
							items={goals.map((s) => ({ value: s.id, name: s.name }))}
						/>
					{/each}
				</EntryForm>
			{:else}
				<p>{texts.thereIsNoSuch} <a class="underline" href="{base}/settings">{texts.addOne}</a>.</p>
			{/if}
		</div>
	{:else if open === 'more'}
		<div class="mt-3 grid max-w-2xl gap-6 border-l-4 border-catkin pl-4 sm:grid-cols-2">
			<EntryForm action="?/putoff" submit={texts.putOff} {today} dated={false} noted={false} quiet ondone={() => (open = null)}>
				{@render work()}
				<DayField label={texts.until} name="until" value={addDays(today, 3)} />
			</EntryForm>
			<EntryForm
				action="?/skip"
				submit={texts.skipThisTime}
				{today}
				dated={false}
				noted={false}
				quiet
				ondone={() => (open = null)}
			>
				{@render work()}
				<Field label={texts.whyIfYouLike} name="why" value="" />
			</EntryForm>
		</div>
	{/if}
</li>
