/** Shelters: figures that decide results, each with its unit and what it rests on. */
import { judged, MEMORY, OWN, PRACTICE } from '../judgement.js';

export const SHELTER = {
	house: judged(18, '°C', 'A house that is lived in, in winter.', PRACTICE),
	earthDepth: judged(1, 'm', 'Depth from which the ground keeps a cellar, a frame or a mulched crown warm.', MEMORY),
	dampingDepth: judged(2.2, 'm', 'Depth at which the year’s swing in the ground is 1/e of that in the air.', MEMORY),
	lowestHour: judged(6, 'hour of the day', 'The air is coldest about sunrise.', MEMORY),
	highestHour: judged(15, 'hour of the day', 'And warmest in the middle of the afternoon.', MEMORY),
	probe: judged([0.6, 1.2, 2.4], '°C', 'How far a household thermometer and the model differ on a day: one of these.', MEMORY),
	potByHeight: judged(0.35, 'cm across, by cm of height', 'The pot that a plant kept in one stands in.', MEMORY),
	potAcross: judged([12, 45], 'cm', 'The least and the widest of such pots.', MEMORY),
	said: judged(2, '°C', 'How far a household is off in what it says a place falls to in a usual winter.', OWN),
	daysAlike: judged(3, 'days', 'Days that follow each other err alike: so many tell as much as one.', MEMORY)
} as const;
