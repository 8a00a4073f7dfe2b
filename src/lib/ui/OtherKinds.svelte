<script lang="ts">
	/** Other kinds that a want may be met with: one field more than are chosen, up to four. */
	import { texts } from '$lib/messages/wants.js';
	import { untrack } from 'svelte';
	import ChoiceField from './ChoiceField.svelte';
	import Fold from './Fold.svelte';
	import type { Choice } from './choice.js';
	interface Props {
		/** The kind that it names first. */
		kind: string;
		items: readonly Choice[];
		/** Those chosen. */
		value?: readonly string[];
		onchange?: (chosen: string[]) => void;
	}
	let { kind, items, value = [], onchange }: Props = $props();

	const ORDER = [texts.anotherKind, texts.aThirdKind, texts.aFourthKind, texts.aFifthKind];
	let chosen = $state(untrack(() => ORDER.map((_, i) => value[i] ?? '')));
	const shown = $derived(Math.min(ORDER.length, chosen.filter(Boolean).length + 1));
	const left = $derived([{ value: '', name: texts.noOtherKind }, ...items.filter((i) => i.value !== kind)]);
	const choose = (at: number, id: string) => {
		// No gaps: what was taken away lets the rest move up.
		const rest = chosen.map((x, i) => (i === at ? id : x)).filter(Boolean);
		chosen = ORDER.map((_, i) => rest[i] ?? '');
		onchange?.(rest);
	};
</script>

<Fold label={texts.otherKindsWould} open={value.length > 0}>
	<input type="hidden" name="or_kinds" value="said" />
	<div class="space-y-4 pt-1">
		{#each ORDER.slice(0, shown) as label, i (label)}
			<ChoiceField
				{label}
				name="or_kind_{i + 1}"
				bind:value={() => chosen[i] ?? '', (id) => choose(i, id)}
				placeholder={texts.typeAnyNameOf}
				hint={i === 0 ? texts.togetherTheyMake : ''}
				items={left}
			/>
		{/each}
	</div>
</Fold>
