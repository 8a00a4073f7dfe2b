import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';
import { orderMoves } from '$lib/core/ground/index.js';
import { problem, readBody } from '$lib/server/api.js';
import { orderRequest } from '$lib/server/groundSchema.js';

/** Thousands of beds with long names. */
const MOST_BYTES = 600_000;

export const POST: RequestHandler = async ({ request }) => {
	const body = await readBody(request, orderRequest, MOST_BYTES);
	if (body instanceof Response) return body;
	const order = orderMoves(body);
	return order.ok ? json(order.value) : problem(order.problem);
};
