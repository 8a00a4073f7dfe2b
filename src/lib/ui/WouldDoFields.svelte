<script lang="ts">
	/** How a want would do too where it cannot be met whole, and what it weighs against others. */
	import Field from './Field.svelte';
	import Fold from './Fold.svelte';
	import SelectField from './SelectField.svelte';
	interface Props {
		enough?: number | null;
		lateWeeks?: number;
		weighs?: 'first' | 'alike' | 'last';
	}
	let { enough = null, lateWeeks = 0, weighs = 'alike' }: Props = $props();
</script>

<Fold label="If it can’t be met whole">
	<Field
		label="Fewer that would do"
		name="enough"
		value={enough === null ? '' : String(enough)}
		numeric
		hint="Empty: all of them or it is not met."
	/>
	<Field label="Weeks that it may be late" name="late_weeks" value={String(lateWeeks)} numeric />
	<SelectField
		label="If not all wants can be met"
		name="weighs"
		value={weighs}
		items={[
			{ value: 'first', name: 'This before others' },
			{ value: 'alike', name: 'This like others' },
			{ value: 'last', name: 'This after others' }
		]}
	/>
</Fold>
