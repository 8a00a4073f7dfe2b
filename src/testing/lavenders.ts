/** A garden of lavender alone, in March: what plans of little are tried on. */
import { dayNumber } from '$lib/core/dates.js';
import type { JointRequest, JointWant } from '$lib/core/joint/index.js';
import { solveJoint } from '$lib/core/joint/index.js';
import { north } from './climates.js';
import { kind } from './handbook.js';
import { exactOf, jointOf, sourceOf, wantOf } from './joint.js';

export const today = dayNumber('2027-03-20');
export const lavender = kind('lavender');
export const want = (over: Partial<JointWant> = {}): JointWant =>
	wantOf({ id: 'w', kindId: 'lavender', target: 12, due: today + 500, ...over });
export const asked = (over: Partial<JointRequest> = {}): JointRequest =>
	jointOf(north, [lavender], { wants: [want()], sources: [sourceOf('s', lavender, 4)], ...over });
export const solved = (r: JointRequest) => solveJoint(r, null, exactOf(r));
