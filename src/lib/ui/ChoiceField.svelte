<script lang="ts">
	/** A choice out of many, by typing any of its names; a plain list until the page has come alive. */
	import { texts } from '$lib/messages/common.js';
	import { Combobox } from 'bits-ui';
	import Label from 'flowbite-svelte/Label.svelte';
	import { onMount } from 'svelte';
	import ChevronDown from '@lucide/svelte/icons/chevron-down';
	import Says from './Says.svelte';
	import SelectField from './SelectField.svelte';
	import { finder } from './choice.js';
	import type { Choice } from './choice.js';
	import { problemFor } from './form.js';

	interface Props {
		label: string;
		name: string;
		items: readonly Choice[];
		value?: string;
		hint?: string;
		placeholder?: string;
	}
	let { label, name, items, value = $bindable(''), hint = '', placeholder = '' }: Props = $props();
	const uid = $props.id();
	const wrong = problemFor(() => name);
	const find = $derived(finder(items));
	const nameOf = (v: string) => items.find((i) => i.value === v)?.name ?? '';

	let alive = $state(false);
	onMount(() => (alive = true));
	let typed = $state<string | null>(null);
	let open = $state(false);
	const found = $derived(find(typed ?? ''));
</script>

{#if !alive}
	<SelectField {label} {name} {hint} {placeholder} bind:value items={items.map((i) => ({ value: i.value, name: i.name }))} />
{:else}
	<div>
		<Label for={uid}>{label}</Label>
		<Combobox.Root
			type="single"
			{name}
			bind:value
			bind:open
			allowDeselect={false}
			inputValue={nameOf(value)}
			onOpenChange={(now) => {
				if (!now) typed = null;
			}}
		>
			<div class="relative">
				<Combobox.Input
					id={uid}
					{placeholder}
					autocomplete="off"
					class="min-h-12 w-full border border-edge bg-field px-3 py-1.5 pr-12 text-base text-ink placeholder:text-faded focus:border-bottle focus:ring-0"
					aria-invalid={wrong() ? 'true' : undefined}
					aria-describedby={hint || wrong() ? `${uid}-say` : undefined}
					oninput={(e) => {
						typed = e.currentTarget.value;
						open = true;
					}}
					onfocus={(e) => e.currentTarget.select()}
				/>
				<Combobox.Trigger
					class="absolute inset-y-0 right-0 flex w-12 items-center justify-center text-faded"
					aria-label={texts.allOfThem}
				>
					<ChevronDown size={20} aria-hidden="true" />
				</Combobox.Trigger>
			</div>
			<Combobox.Portal disabled>
				<Combobox.Content
					sideOffset={2}
					class="z-50 max-h-80 w-(--bits-combobox-anchor-width) overflow-y-auto border border-bottle bg-pane text-ink shadow-lg"
				>
					{#each found as item (item.value)}
						<Combobox.Item
							value={item.value}
							label={item.name}
							class="flex min-h-11 cursor-pointer items-center justify-between gap-3 border-b border-rule px-3 data-highlighted:bg-primary-100 data-selected:font-semibold"
						>
							<span>{item.name}</span>{#if item.beside}<span class="note text-right">{item.beside}</span>{/if}
						</Combobox.Item>
					{:else}
						<p class="px-3 py-2 text-faded">{texts.nothingByThatName}</p>
					{/each}
				</Combobox.Content>
			</Combobox.Portal>
		</Combobox.Root>
		<Says id="{uid}-say" wrong={wrong()} {hint} />
	</div>
{/if}
