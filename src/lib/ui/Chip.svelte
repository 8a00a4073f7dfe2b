<script lang="ts">
	/** One of several to choose from, or several of many: a whole button to tap, filled when chosen. */
	import Button from 'flowbite-svelte/Button.svelte';
	import type { Snippet } from 'svelte';

	interface Props {
		type: 'radio' | 'checkbox';
		name: string;
		value: string;
		checked?: boolean;
		onchange?: () => void;
		children: Snippet;
	}
	let { type, name, value, checked = false, onchange, children }: Props = $props();
</script>

<Button
	tag="label"
	outline
	class="has-checked:bg-bottle has-checked:text-white has-focus-visible:outline-3 has-focus-visible:outline-offset-2 has-focus-visible:outline-catkin"
>
	<input {type} {name} {value} {checked} {onchange} class="sr-only" />{@render children()}
</Button>
