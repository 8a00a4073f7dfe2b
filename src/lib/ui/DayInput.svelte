<script lang="ts">
	/** A day, typed as people write one or chosen from the device's own calendar. */
	import { texts } from '$lib/messages/common.js';
	import Input from 'flowbite-svelte/Input.svelte';
	import CalendarDays from '@lucide/svelte/icons/calendar-days';
	import { page } from '$app/state';
	import { isIsoDate, sayDate } from '$lib/core/dates.js';
	import { alsoReading } from './daysRead.js';

	interface Props {
		id?: string | undefined;
		name?: string | undefined;
		/** YYYY-MM-DD; empty while what stands there is no day. */
		value?: string | undefined;
		/** Id of what says which day this is, for the button beside it. */
		about?: string | undefined;
		min?: string | undefined;
		max?: string | undefined;
		class?: string;
		/** Low, for a bar. */
		slim?: boolean;
		'aria-label'?: string | undefined;
		'aria-invalid'?: 'true' | undefined;
		'aria-describedby'?: string | undefined;
		/** Something stands there that is no day. */
		unread?: boolean;
		onday?: (day: string) => void;
	}
	let {
		id,
		name,
		value = $bindable(''),
		about,
		min,
		max,
		class: more = 'w-full',
		slim = false,
		unread = $bindable(false),
		onday,
		...rest
	}: Props = $props();

	const written = (iso: string) => (isIsoDate(iso) ? sayDate(iso) : iso);
	const first = written(value);
	let shown = $state(first);
	let known = { day: value, text: first };
	let held = false;
	let late = false;
	$effect.pre(() => {
		// A new day from outside is shown, or the same one written another way; what is being typed is left alone.
		const text = written(value);
		if (value === known.day && text === known.text) return;
		known = { day: value, text };
		// Not under the hand that is about to type: what came meanwhile is shown when it leaves.
		if (held) late = true;
		else shown = text;
	});
	function left() {
		held = false;
		if (late) shown = written(value);
		late = false;
	}
	/** The day that stands in the field now. */
	function keep(day: string) {
		known = { day, text: written(day) };
		value = day;
	}

	const today = () => (page.data.garden as { today?: string } | undefined)?.today ?? new Date().toISOString().slice(0, 10);
	let asked = 0;
	/** What reads days comes when it is first needed. */
	const reader = () => import('$lib/core/readDay.js');
	const read = (done: boolean) => alsoReading(readShown(done));
	async function readShown(done: boolean) {
		const mine = ++asked;
		const text = shown;
		const { readDay } = await reader();
		if (mine !== asked) return;
		const day = readDay(text, today()) ?? '';
		keep(day);
		if (!done) return;
		unread = day === '' && text.trim() !== '';
		if (day) {
			shown = written(day);
			onday?.(day);
		}
	}
	let picker = $state<HTMLInputElement>();
	function chosen(day: string) {
		asked++;
		keep(day);
		shown = written(day);
		unread = false;
		if (day) onday?.(day);
	}
</script>

<div class="relative flex {more}">
	<Input
		{id}
		{name}
		type="text"
		autocomplete="off"
		class={slim ? 'h-7 min-h-7 px-1 py-0 text-note' : ''}
		maxlength={40}
		defaultValue={first}
		bind:value={shown}
		onfocus={() => {
			held = true;
			reader().catch(() => undefined);
		}}
		onblur={left}
		oninput={() => {
			late = false;
			read(false);
		}}
		onchange={() => read(true)}
		{...rest}
	/>
	<button
		type="button"
		class="-ml-px grid {slim
			? 'min-w-8'
			: 'min-w-11'} shrink-0 cursor-pointer place-items-center border border-edge bg-field text-leaf"
		aria-label={texts.chooseFromTheCalendar}
		aria-describedby={about}
		onclick={() => picker?.showPicker()}><CalendarDays size={18} aria-hidden="true" /></button
	>
	<!-- The device's own calendar opens from it; typing and reading is the field's. -->
	<input
		bind:this={picker}
		type="date"
		tabindex="-1"
		aria-hidden="true"
		class="pointer-events-none absolute right-0 bottom-0 h-px w-px border-0 p-0 opacity-0"
		{min}
		{max}
		value={isIsoDate(value) ? value : ''}
		onchange={(e) => chosen(e.currentTarget.value)}
	/>
</div>
