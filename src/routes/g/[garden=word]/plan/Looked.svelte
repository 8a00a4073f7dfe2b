<script lang="ts">
	/**
	 * The plan as it is looked for: the first that was found as soon as it is there, then the best, then what would help
	 * those that are short. To be stopped at any time, and taken up again.
	 */
	import { texts } from '$lib/messages/plan.js';
	import Act from '$lib/ui/Act.svelte';
	import Note from '$lib/ui/Note.svelte';
	import { hear } from '$lib/ui/heard.js';
	import type { UnitChoice } from '$lib/core/units/index.js';
	import type { PlanView } from '$lib/server/jointView.js';
	import Planned from './Planned.svelte';
	import type { Help, Stage } from './says.js';

	interface Props {
		/** Where its events come from. */
		address: string;
		/** What the plan hangs on: with another it is looked for anew. */
		state: string;
		/** The plan, where it was made before. */
		kept: PlanView | null;
		/** Batches that are planned and not struck, and plants that are still to be bought. */
		planned: { batches: number; plants: number };
		garden: { slug: string; today: string };
		currency: string;
		units: UnitChoice;
	}
	let { address, state: key, kept, ...rest }: Props = $props();

	const asked = $derived(`${address} ${key}`);
	let plan = $derived.by(() => (asked ? kept : null));
	let stage = $derived.by<Stage>(() => (asked && kept ? 'told' : 'looking'));
	let help = $state.raw<Help>({});
	let why = $state('');
	let end = () => {};

	function listen() {
		end();
		help = {};
		end = hear(
			address,
			{
				first: (first: PlanView) => {
					if (stage !== 'looking') return;
					plan = first;
					stage = 'first';
				},
				told: (best: PlanView) => {
					if (stage === 'told') return;
					plan = best;
					stage = 'told';
				},
				help: (h: Help[string] & { want: string }) => (help = { ...help, [h.want]: h }),
				end: () => {},
				sorry: ({ message }: { message: string }) => fails(message)
			},
			['end', 'sorry'],
			() => fails(texts.notLookedForJustNow)
		);
	}
	function fails(message: string) {
		why = message;
		if (stage !== 'told') stage = 'sorry';
	}
	function stop() {
		end();
		stage = 'stopped';
	}
	function lookOn() {
		stage = plan ? 'first' : 'looking';
		listen();
	}
	$effect(() => {
		if (asked) listen();
		return () => end();
	});
</script>

{#if plan}
	<Planned {plan} {help} {stage} {why} onstop={stop} onlook={lookOn} {...rest} />
{:else if stage === 'looking'}
	<h1 class="mt-1">{texts.workingOutAPlan}</h1>
	<p class="mt-2 max-w-prose text-lg text-faded" role="status">
		{texts.eachWayEachPlant}
	</p>
	<p class="mt-4"><Act onclick={stop}>{texts.stop}</Act></p>
{:else}
	<h1 class="mt-1">{texts.noPlanJustNow}</h1>
	{#if stage === 'sorry'}<Note tone="harm" said class="mt-2 text-lg">{why}</Note>
	{:else}<p class="mt-2 text-lg" role="status">{texts.stoppedBeforeOne}</p>{/if}
	<p class="mt-4"><Act main onclick={lookOn}>{texts.workOutAPlan}</Act></p>
{/if}
