<script lang="ts">
	/** The tray of a batch: laid out once, tapped at each look; a trial is read off it. */
	import TextAct from '$lib/ui/TextAct.svelte';
	import { texts } from '$lib/messages/bench.js';
	import TableBodyCell from 'flowbite-svelte/TableBodyCell.svelte';
	import Rows from '$lib/ui/Rows.svelte';
	import { plural } from '$lib/ui/say.js';
	import { trialSentence } from '$lib/core/evidence/trial.js';
	import { byGroup, byRow, dealOut } from '$lib/core/ledger/tray.js';
	import type { Batch } from '$lib/core/ledger/batch.js';
	import EntryForm from '$lib/ui/EntryForm.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Stepper from '$lib/ui/Stepper.svelte';
	import TrayMap from '$lib/ui/TrayMap.svelte';

	interface Props {
		batch: Batch;
		today: string;
		inHand: number;
	}
	let { batch: b, today, inHand }: Props = $props();
	let rooted = $state<number[]>([]);
	let lost = $state<number[]>([]);
	let laying = $state(false);
	const standing = $derived(b.unrooted + b.rooted);
	let columns = $state(6);
	let groups = $state('');
	let seed = $state(0);
	const rows = $derived(Math.max(1, Math.ceil(standing / Math.max(1, columns || 1))));
	const names = $derived(
		groups
			.split(',')
			.map((g) => g.trim())
			.filter(Boolean)
			.slice(0, 8)
	);
	// Dealt anew only when asked to, or when what is dealt out changes.
	const dealt = $derived.by(() => {
		void seed;
		return dealOut(standing, names.length, Math.random);
	});
	const of = $derived(Array.from({ length: rows * Math.max(1, columns || 1) }, (_, i) => dealt[i] ?? -1));
	const preview = $derived({
		rows,
		columns: Math.max(1, columns || 1),
		groups: names,
		of,
		cells: of.map((g) => (g < 0 ? '.' : 'u')).join(''),
		guessed: 0
	});
	const alive = $derived(inHand - lost.length);
	const rootedNow = $derived(b.rooted + b.potted + rooted.length - lost.filter((i) => b.tray?.cells[i] === 'r').length);
	const results = $derived(b.tray && b.tray.groups.length > 1 ? byGroup(b.tray) : []);
	const sentence = $derived(trialSentence(results));
	const lines = $derived(b.tray ? byRow(b.tray) : []);
	const edge = $derived(lines.length >= 3 ? [lines[0]!, lines.at(-1)!].reduce((s, r) => s + r.lost, 0) : 0);
	const edgePieces = $derived(lines.length >= 3 ? lines[0]!.pieces + lines.at(-1)!.pieces : 0);
	const inner = $derived(
		lines.slice(1, -1).reduce((s, r) => ({ lost: s.lost + r.lost, pieces: s.pieces + r.pieces }), { lost: 0, pieces: 0 })
	);
</script>

<section class="mt-8" aria-label={texts.tray}>
	<div class="flex flex-wrap items-end justify-between gap-3 border-b border-ink pb-1">
		<h2>{texts.tray}</h2>
		{#if standing > 0}<TextAct class="px-2" onclick={() => (laying = !laying)}
				>{b.tray ? texts.layItOutAnew : texts.layItOutIn}</TextAct
			>{/if}
	</div>
	{#if b.tray && !laying}
		<p class="note mt-2">{texts.tapAPieceOnce}</p>
		<div class="mt-2"><TrayMap tray={b.tray} bind:rooted bind:lost /></div>
		{#if b.tray.guessed > 0}<p class="note">
				{texts.setByCountAlone(plural(b.tray.guessed, texts.marksWere))}
			</p>{/if}
		{#if rooted.length + lost.length > 0}
			<div class="mt-3 max-w-lg border-t-4 border-catkin bg-pane p-4">
				<EntryForm
					action=""
					submit={texts.logThese}
					{today}
					seen={b}
					ondone={() => {
						rooted = [];
						lost = [];
					}}
				>
					<input type="hidden" name="verb" value="checked" />
					<input type="hidden" name="alive" value={alive} />
					<input type="hidden" name="looked_at_roots" value="on" />
					<input type="hidden" name="rooted" value={rootedNow} />
					<input type="hidden" name="sign" value={rooted.length ? 'resists a tug' : 'none'} />
					<input type="hidden" name="cells" value={JSON.stringify({ rooted, lost })} />
					<p><strong>{rooted.length}</strong> {texts.newlyRooted} <strong>{lost.length}</strong> {texts.lost}</p>
				</EntryForm>
			</div>
		{/if}
		{#if edgePieces >= 6 && inner.pieces >= 6 && edge / edgePieces > (2 * inner.lost) / inner.pieces + 0.1}
			<p class="mt-2">
				<strong>{texts.theEdgeLosesMore}</strong>
				{texts.ofInTheOuter(edge, edgePieces, inner.lost, inner.pieces)}
			</p>
		{/if}
		{#if results.length}
			<Rows
				class="mt-3 max-w-lg"
				caption={texts.whatCameOfEach}
				silent
				heads={[texts.treatment, texts.rooted2, texts.lost2, texts.notYet]}
				rows={results}
				key={(r) => r.group}
			>
				{#snippet cells(r: (typeof results)[number], i: number)}
					<TableBodyCell>{String.fromCharCode(65 + i)} · {r.group}</TableBodyCell>
					<TableBodyCell>{r.rooted}</TableBodyCell>
					<TableBodyCell>{r.lost}</TableBodyCell>
					<TableBodyCell>{r.waiting}</TableBodyCell>
				{/snippet}
			</Rows>
			{#if sentence}<p class="mt-2 max-w-prose">{sentence}</p>{/if}
		{/if}
	{:else if laying}
		<div class="mt-3 max-w-lg border-t-4 border-catkin bg-pane p-4">
			<EntryForm action="" submit={texts.layItOutSo} {today} seen={b} noted={false} ondone={() => (laying = false)}>
				<input type="hidden" name="verb" value="laid-out" />
				<input type="hidden" name="rows" value={rows} />
				<input type="hidden" name="columns" value={columns} />
				<input type="hidden" name="groups" value={JSON.stringify(names)} />
				<input type="hidden" name="of" value={JSON.stringify(of)} />
				<Stepper
					label={texts.piecesInARow}
					name="columns_shown"
					bind:value={columns}
					min={1}
					max={100}
					hint={texts.rowsForTheThat(rows, standing)}
				/>
				<Field
					label={texts.treatmentsToCompare}
					name="groups_shown"
					bind:value={groups}
					hint={texts.leaveItEmptyFor}
					maxlength={300}
				/>
				{#if names.length > 1}
					<p>
						{texts.aboutEach(
							plural(Math.floor(standing / names.length), texts.pieces),
							standing / names.length < 8 ? texts.soFewTellLittle : ''
						)}
						<TextAct class="px-2" onclick={() => seed++}>{texts.dealAgain}</TextAct>
					</p>
				{/if}
				<TrayMap tray={preview} readonly />
			</EntryForm>
		</div>
	{:else}
		<p class="mt-2 max-w-prose">
			{texts.laidOutInRows}
		</p>
	{/if}
</section>
