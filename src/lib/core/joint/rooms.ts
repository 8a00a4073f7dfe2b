/**
 * Room that several places share. Trays and pots stand wherever their stage can stand; whether all of them find a place
 * is a question of transport, and by Hall's theorem (1935) they do if and only if no set of places is asked for more
 * than it has by what can stand nowhere else. So each set of places that matters is a row of its own, and no batch has
 * to be told its shelf before the plan is made.
 */
import { IN_THE_GROUND, OUTDOORS, ROOMS } from '../places.js';
import type { StageNeed } from '../plan/effort.js';
import type { Lives, Room, Wintering } from './types.js';

/** Bits of places; 0 where room is not what limits. */
export type RoomSet = number;

/** Under the sky in growth pots stand anywhere; in a row they stand in the row. */
const GLASS = new Set(['frame']);
const SHADE = new Set(['frame', 'bench']);
const ROOTING = new Set([...ROOMS, ...SHADE]);
const ROW = new Set(['nursery_row']);
/** A place in which a stage of something can stand on its way: nothing is told to wait in a bed. */
export const standsIn = ({ kind }: Pick<Room, 'kind'>): boolean => !IN_THE_GROUND.has(kind) || ROW.has(kind);
/** More places with room of their own than a number has bits are not told apart. */
export const MOST_ROOMS = 30;
/** A place that is much worse for the kind than the garden's best is not where a plan puts it. */
const NEARLY_BEST = 0.75;

/** The rooms that fit; 0 where one of them is as large as need be, null where none fits. */
const setOf = (rooms: readonly Room[], fits: (room: Room) => boolean): RoomSet | null => {
	let set: RoomSet | null = null;
	for (const [i, room] of rooms.slice(0, MOST_ROOMS).entries()) {
		if (!fits(room)) continue;
		// Nobody said how much room it has: then that is not what limits.
		if (room.cm2 === null) return 0;
		set = (set ?? 0) | (1 << i);
	}
	return set;
};

export interface StandsAs {
	kind: Wintering;
	need: Pick<StageNeed, 'to' | 'open'>;
	grows: 'always' | 'season';
	/** Growth outdoors rests in that week. */
	rests: boolean;
}

/**
 * Where a stage can stand in a week; 0 where room does not limit it. In winter where the kind lives nearly as well as
 * anywhere in the garden; pieces that root in warmth stay in the house; what has rooted stands out of doors in summer,
 * where there is room enough. What is in leaf wants light.
 */
export function roomsFor({ kind, need, grows, rests }: StandsAs, rooms: readonly Room[], lives = byHandbook(rooms)): RoomSet {
	if (need.open) return setOf(rooms, (r) => ROW.has(r.kind)) ?? 0;
	const young = need.to === 'rooted';
	const within = (fits: (r: Room) => boolean) => (young ? setOf(rooms, (r) => fits(r) && !r.dark) : null) ?? setOf(rooms, fits);
	if (!rests) return young ? (within((r) => ROOTING.has(r.kind)) ?? 0) : 0;
	if (young && grows === 'always') return within((r) => ROOMS.has(r.kind)) ?? 0;
	const roofed = rooms.filter((r) => !OUTDOORS.has(r.kind));
	const outside = lives(kind, null);
	const best = roofed.reduce((c, r) => Math.max(c, lives(kind, r.id)), outside);
	// What bears the winter outdoors stands in the frame if there is one, else where it is.
	if (best > 0 && outside >= NEARLY_BEST * best) return young ? (setOf(rooms, (r) => SHADE.has(r.kind)) ?? 0) : 0;
	const keeps = (r: Room) => roofed.includes(r) && best > 0 && lives(kind, r.id) >= NEARLY_BEST * best;
	return within(keeps) ?? setOf(rooms, (r) => ROOMS.has(r.kind) || GLASS.has(r.kind)) ?? 0;
}

/** As the kind is kept in such a place, whatever this one is like. */
const byHandbook =
	(rooms: readonly Room[]): Lives =>
	({ winter }, id) => {
		const place = id === null ? 'ground' : rooms.find((r) => r.id === id)?.kind;
		return winter.shelters.find((s) => s.in === place)?.chance ?? 0;
	};

/** The sets that have to be watched: all unions of those that occur and overlap. Where two have no place in common each speaks for itself. */
export function unionsOf(sets: Iterable<RoomSet>): RoomSet[] {
	const found = new Set<RoomSet>();
	for (const set of sets) if (set) found.add(set);
	for (let grew = true; grew;) {
		grew = false;
		for (const a of [...found])
			for (const b of [...found])
				if ((a & b) !== 0 && !found.has(a | b) && found.size < MOST_SETS) {
					found.add(a | b);
					grew = true;
				}
	}
	return [...found].sort((a, b) => a - b);
}
/** A garden with more is watched in the first of them; the places themselves are always among those. */
const MOST_SETS = 60;

export const roomIn = (set: RoomSet, rooms: readonly Room[]): number =>
	rooms.slice(0, MOST_ROOMS).reduce((cm2, r, i) => (set & (1 << i) ? cm2 + (r.cm2 ?? 0) : cm2), 0);

export const isIn = (a: RoomSet, b: RoomSet): boolean => (a & ~b) === 0;
