/** Settings of a garden that is not the demo's: what a first form would send. */
export const gardenSettings = (over: Record<string, unknown> = {}): Record<string, unknown> => ({
	name: 'Test ground',
	place: '',
	latitude: 52,
	longitude: 15,
	height_m: 80,
	time_zone: 'Europe/Warsaw',
	units: 'metric',
	temperature: 'C',
	currency: 'EUR',
	coldest_c: -17,
	last_frost: { doy: 125, sd: 10 },
	first_frost: { doy: 285, sd: 12 },
	minutes_per_week: 90,
	away: [],
	guessed: [],
	...over
});
