<script lang="ts">
	/** How a want would do too where it cannot be met whole, and what it weighs against others. */
	import { texts } from '$lib/messages/wants.js';
	import Field from './Field.svelte';
	import Fold from './Fold.svelte';
	import SelectField from './SelectField.svelte';
	interface Props {
		enough?: number | null;
		lateWeeks?: number;
		mayBuy?: number;
		/** What is to grow up alike is not bought in part. */
		oneAge?: boolean;
		weighs?: 'first' | 'alike' | 'last';
	}
	let { enough = null, lateWeeks = 0, mayBuy = 0, oneAge = false, weighs = 'alike' }: Props = $props();
</script>

<Fold label={texts.ifItCantBe}>
	<div class="space-y-4 pt-1">
		<Field
			label={texts.fewerThatWouldDo}
			name="enough"
			value={enough === null ? '' : String(enough)}
			numeric
			hint={texts.emptyAllOfThem}
		/>
		<Field label={texts.weeksThatItMay} name="late_weeks" value={String(lateWeeks)} numeric />
		{#if !oneAge}
			<Field
				label={texts.ofThemMayBe}
				name="may_buy"
				value={mayBuy === 0 ? '' : String(mayBuy)}
				numeric
				hint={texts.thePlanBuysAs}
			/>
		{/if}
		<SelectField
			label={texts.ifNotAllWants}
			name="weighs"
			value={weighs}
			items={[
				{ value: 'first', name: texts.thisBeforeOthers },
				{ value: 'alike', name: texts.thisLikeOthers },
				{ value: 'last', name: texts.thisAfterOthers }
			]}
		/>
	</div>
</Fold>
