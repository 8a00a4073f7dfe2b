<script lang="ts">
	import { texts } from '$lib/messages/handbook.js';
	import Checkbox from 'flowbite-svelte/Checkbox.svelte';
	import Act from '$lib/ui/Act.svelte';
	import { untrack } from 'svelte';
	import MonthRow from '$lib/ui/MonthRow.svelte';
	import SuitBar from '$lib/ui/SuitBar.svelte';
	import Field from '$lib/ui/Field.svelte';
	import MoreRows from '$lib/ui/MoreRows.svelte';
	import type { PageData } from './$types';
	let { data }: { data: PageData } = $props();
	const base = $derived(`/g/${data.garden.slug}`);
	/** What stood in the address when the page was opened: what is typed since is the person's own. */
	const asked = untrack(() => data.text);
	const TYPING_MS = 200;
	let waiting: ReturnType<typeof setTimeout> | undefined;
	/** What is typed is looked for as soon as the hand rests; without scripts by Enter. */
	function find({ currentTarget }: { currentTarget: HTMLFormElement }) {
		clearTimeout(waiting);
		waiting = setTimeout(() => currentTarget.requestSubmit(), TYPING_MS);
	}
</script>

<svelte:head><title>{texts.handbook(data.garden.name)}</title></svelte:head>
<h1>{texts.howItIsDone}</h1>
<p class="mt-2"><Act href="{base}/handbook/own">{texts.addAKindOf}</Act></p>
<p class="mt-2 text-faded">
	{texts.kindsWindowsRiseAnd(data.inBook)}
	<a href="{base}/handbook/sources">{texts.whatTheFiguresRest}</a>.
</p>
<form
	oninput={find}
	class="mt-4 flex flex-wrap items-end gap-4"
	data-sveltekit-keepfocus
	data-sveltekit-noscroll
	data-sveltekit-replacestate
>
	{#if !data.isToday}<input type="hidden" name="day" value={data.viewed} />{/if}
	<div class="w-full max-w-sm">
		<Field label={texts.findAKindOr} name="q" type="search" maxlength={80} value={asked} />
	</div>
	<Checkbox name="open" checked={data.openOnly}>{texts.onlyWhatCanBe(data.isToday ? texts.now : texts.then)}</Checkbox>
</form>
<div class="sticky top-0 z-10 mt-4 grid grid-cols-1 gap-x-6 border-b border-ink bg-glass py-1 sm:grid-cols-[16rem_1fr]">
	<span class="hidden sm:block"></span><MonthRow from={data.from} />
</div>
<ul class="long">
	{#each data.kinds as k (k.id)}
		<li class="border-b border-rule">
			<a href="{base}/handbook/{k.id}" class="grid grid-cols-1 gap-x-6 py-2 hover:bg-pane sm:grid-cols-[16rem_1fr]">
				<div>
					<p class="leading-tight font-semibold">{k.common}</p>
					<p class="note"><span class="italic">{k.botanical}</span>{k.mine ? texts.yourOwn : ''}</p>
				</div>
				<div>
					{#each k.ways as w (w.id)}
						<p class="note -mb-1">{w.name}{w.window.now >= 0.9 ? texts.open : w.window.now >= 0.5 ? texts.likelyOpen : ''}</p>
						<SuitBar
							from={data.from}
							day={data.day}
							values={w.window.values}
							step={data.step}
							label={texts.windowOfFor(w.name, k.common)}
						/>
					{/each}
				</div>
			</a>
		</li>
	{/each}
</ul>
<MoreRows rows={data.rows} hidden={data.hidden} of={['kind', 'kinds']} />
{#if data.kinds.length === 0}<p class="mt-6">
		{#if data.openOnly}{texts.nothingOfThatName(data.isToday ? texts.now : texts.then)}{:else}
			{texts.noKindOfThe} <a href="{base}/handbook/own">{texts.addItAsA}</a>{texts.itTakesAMinute}{/if}
	</p>{/if}
