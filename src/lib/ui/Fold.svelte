<script lang="ts">
	/**
	 * What is opened when it is wanted. The browser's own disclosure: it works before the page has come alive, is found by
	 * the browser's search, and keeps what was typed inside while it is shut, which Flowbite's does not.
	 */
	import Island from './Island.svelte';
	import type { Snippet } from 'svelte';

	interface Props {
		label: string;
		open?: boolean;
		/** A line of a list, not a link to more. */
		plain?: boolean;
		class?: string;
		children: Snippet;
	}
	let { label, open = false, plain = false, class: cls = '', children }: Props = $props();
</script>

<details class={cls} {open}>
	<summary class="min-h-11 cursor-pointer py-2 {plain ? '' : 'text-leaf underline underline-offset-4'}">{label}</summary>
	<Island now={open}>{@render children()}</Island>
</details>
