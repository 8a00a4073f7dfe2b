<script lang="ts">
	/** An action in a line of text, a button or a link: as high as a finger, no wider than its words. */
	import type { Snippet } from 'svelte';
	import type { HTMLAnchorAttributes, HTMLButtonAttributes } from 'svelte/elements';

	type Props = (HTMLAnchorAttributes & { href: string }) | (HTMLButtonAttributes & { href?: undefined });
	let { class: more = '', children, ...rest }: Props & { class?: string; children: Snippet } = $props();
	const looks = $derived(`inline-flex min-h-11 min-w-11 items-center text-leaf underline underline-offset-4 ${more}`);
</script>

{#if rest.href !== undefined}<a class={looks} {...rest}>{@render children()}</a>{:else}<button
		type="button"
		class={looks}
		{...rest as HTMLButtonAttributes}>{@render children()}</button
	>{/if}
