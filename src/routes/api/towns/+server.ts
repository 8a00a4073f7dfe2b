import { json } from '@sveltejs/kit';
import cityTimezones from 'city-timezones';
import type { RequestHandler } from './$types';

/** Letters that Unicode does not take apart into letter and mark. */
const WHOLE: Record<string, string> = { ł: 'l', ø: 'o', đ: 'd', ß: 'ss', æ: 'ae', œ: 'oe', ı: 'i' };

const plain = (text: string) =>
	text
		.normalize('NFKD')
		.replace(/\p{M}/gu, '')
		.toLowerCase()
		.replace(/[łøđßæœı]/g, (c) => WHOLE[c]!);

/** Towns by the beginning of their name, the bigger first; from a list that ships with the app. */
export const GET: RequestHandler = ({ url }) => {
	const wanted = plain((url.searchParams.get('q') ?? '').trim().slice(0, 60));
	if (wanted.length < 2) return json({ towns: [] });
	const towns = cityTimezones.cityMapping
		.filter((c) => plain(c.city_ascii || c.city).startsWith(wanted))
		.sort((a, b) => b.pop - a.pop)
		.slice(0, 8)
		.map((c) => ({
			name: [c.city, c.province, c.country].filter((part, i, all) => part && all.indexOf(part) === i).join(', '),
			latitude: Math.round(c.lat * 100) / 100,
			longitude: Math.round(c.lng * 100) / 100
		}));
	return json({ towns });
};
