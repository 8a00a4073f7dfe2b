<script lang="ts">
	/** Which column of the file is what, and in which units. */
	import { texts } from '$lib/messages/weather.js';
	import type { WeatherSample } from '$lib/formats/readWeather.js';
	import type { ColumnChoice } from '$lib/formats/weatherCsv.js';
	import SelectField from '$lib/ui/SelectField.svelte';

	interface Props {
		sample: WeatherSample;
		columns: ColumnChoice | null;
		/** Chosen otherwise: the file is read again. */
		onchange: () => void;
	}
	let { sample, columns = $bindable(), onchange }: Props = $props();
	const headings = $derived(
		(sample.rows[0] ?? []).map((cell, i) => ({
			value: String(i),
			name: columns?.header ? cell || texts.column(i + 1) : texts.column2(i + 1, cell)
		}))
	);
	const orNone = $derived([{ value: '', name: 'none' }, ...headings]);
	function setColumn(what: 'date' | 'low' | 'high' | 'rain', value: string) {
		if (!columns) return;
		if (what === 'date') columns.date = Number(value);
		else columns[what] = value === '' ? null : Number(value);
		onchange();
	}
	const set = <K extends 'order' | 'temperature' | 'depth'>(what: K, value: string) => {
		if (!columns || columns[what] === value) return;
		columns[what] = value as ColumnChoice[K];
		onchange();
	};
</script>

<div class="mt-5 grid max-w-3xl gap-4 sm:grid-cols-4">
	<SelectField
		label={texts.date}
		name="c-date"
		items={headings}
		bind:value={() => String(columns!.date), (v) => setColumn('date', v)}
	/>
	<SelectField
		label={texts.lowest}
		name="c-low"
		items={orNone}
		bind:value={() => String(columns!.low ?? ''), (v) => setColumn('low', v)}
	/>
	<SelectField
		label={texts.highest}
		name="c-high"
		items={orNone}
		bind:value={() => String(columns!.high ?? ''), (v) => setColumn('high', v)}
	/>
	<SelectField
		label={texts.rain}
		name="c-rain"
		items={orNone}
		bind:value={() => String(columns!.rain ?? ''), (v) => setColumn('rain', v)}
	/>
	<SelectField
		label={texts.datesAre}
		name="c-order"
		items={[
			{ value: 'ymd', name: texts.yearFirst },
			{ value: 'dmy', name: texts.dayMonthYear },
			{ value: 'mdy', name: texts.monthDayYear }
		]}
		bind:value={() => columns!.order, (v) => set('order', v)}
	/>
	<SelectField
		label={texts.temperaturesIn}
		name="c-temp"
		items={[
			{ value: 'C', name: '°C' },
			{ value: 'F', name: '°F' }
		]}
		bind:value={() => columns!.temperature, (v) => set('temperature', v)}
	/>
	<SelectField
		label={texts.rainIn}
		name="c-depth"
		items={[
			{ value: 'mm', name: 'mm' },
			{ value: 'in', name: 'inches' }
		]}
		bind:value={() => columns!.depth, (v) => set('depth', v)}
	/>
</div>
