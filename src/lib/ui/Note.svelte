<script lang="ts">
	/** Something to mind, told apart by a rule at its side and by its words. */
	import Alert from 'flowbite-svelte/Alert.svelte';
	import type { Snippet } from 'svelte';

	interface Props {
		/** Harm, cold, what is now, what is well, or a plain remark. */
		tone?: 'harm' | 'cold' | 'now' | 'well' | 'plain';
		/** Read out at once: a refusal, not a caution that always stands there. */
		said?: boolean;
		role?: 'status';
		class?: string;
		children: Snippet;
	}
	let { tone = 'plain', said = false, role, class: cls = '', children }: Props = $props();

	const EDGE = {
		harm: 'border-madder',
		cold: 'border-frost',
		now: 'border-catkin',
		well: 'border-leaf',
		plain: 'border-rule'
	} as const;
</script>

<Alert rounded={false} role={role ?? (said ? 'alert' : 'note')} class="border-l-4 {EDGE[tone]} {said ? 'text-madder' : ''} {cls}">
	{@render children()}
</Alert>
