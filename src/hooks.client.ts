import { takeHand } from '$lib/ui/hand.svelte.js';

takeHand();
