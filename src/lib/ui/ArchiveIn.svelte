<script lang="ts">
	import { texts } from '$lib/messages/garden.js';
	import Note from '$lib/ui/Note.svelte';
	import Act from '$lib/ui/Act.svelte';
	/** Brings a garden in from its archive; says how far it is, and what is wrong with a file that cannot be taken. */
	import { goto } from '$app/navigation';

	let sent = $state<number | null>(null);
	let trouble = $state('');
	let chosen = $state<File | null>(null);

	/** fetch does not tell how much has been sent; this does. */
	function send(file: File): Promise<{ ok: boolean; text: string }> {
		return new Promise((resolve) => {
			const request = new XMLHttpRequest();
			request.open('POST', '/new/archive');
			request.setRequestHeader('content-type', 'application/zip');
			request.upload.onprogress = (e) => (sent = e.lengthComputable ? e.loaded / e.total : 0);
			request.onload = () => resolve({ ok: request.status === 200, text: request.responseText });
			request.onerror = () => resolve({ ok: false, text: '' });
			request.send(file);
		});
	}

	async function take() {
		if (!chosen) {
			trouble = texts.chooseTheZipThat;
			return;
		}
		trouble = '';
		sent = 0;
		const answer = await send(chosen);
		sent = null;
		let told: { slug?: string; error?: { sentence: string } } = {};
		try {
			told = JSON.parse(answer.text) as typeof told;
		} catch {
			// A page that something put in between.
		}
		if (answer.ok && told.slug) await goto(`/g/${told.slug}/round`);
		else trouble = told.error?.sentence ?? texts.theAppDoesNot;
	}
</script>

<label class="block font-semibold" for="archive-file">{texts.archiveOfAGarden}</label>
<input
	id="archive-file"
	type="file"
	accept=".zip,application/zip"
	class="mt-1 block min-h-11 w-full max-w-md py-2 file:bg-bottle file:text-white"
	onchange={(e) => (chosen = e.currentTarget.files?.[0] ?? null)}
/>
{#if trouble}<Note tone="harm" said class="mt-2">{trouble}</Note>{/if}
<Act class="mt-3" onclick={take} disabled={sent !== null}>
	{sent === null ? texts.bringThisGardenIn : sent < 1 ? texts.sendingOf100(Math.round(100 * sent)) : texts.readingAndCheckingIt}
</Act>
