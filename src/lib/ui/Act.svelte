<script lang="ts">
	/** A whole action, a button or a link that looks like one: 48 px high, for wet gloves. */
	import Button from 'flowbite-svelte/Button.svelte';
	import type { ButtonProps } from 'flowbite-svelte';

	type Props = ButtonProps & {
		/** The one thing that most will do here. */
		main?: boolean;
	};
	let { main = false, children, ...rest }: Props = $props();
</script>

<Button outline={!main} data-act {...rest}>{@render children?.()}</Button>
