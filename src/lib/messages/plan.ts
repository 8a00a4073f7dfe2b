/** What the plan says around its figures. */
import { inLanguages } from './language.js';
import type { Said } from './language.js';

const en = {
	// plan
	plan: (name: Said) => `Plan · ${name}`,
	nothingIsWantedYet: 'Nothing is wanted yet',
	sayWhatShouldStand:
		'Say what should stand where, how many and by when. The plan then finds what to strike, when and where, for all of it together.',
	sayWhatYouWant: 'Say what you want',
	workingOutAPlan: 'Working out a plan for everything you want …',
	eachWayEachPlant:
		'Each way, each plant and each week is weighed against your room, your minutes and the winters that may come. It takes some seconds; what else you open meanwhile does not wait for it.',
	noPlanJustNow: 'No plan just now',

	// Looked
	notLookedForJustNow: 'The plan can’t be looked for just now.',
	stoppedBeforeOne: 'You stopped before a first plan was found.',
	workOutAPlan: 'Work out a plan',
	aFirstPlan: 'This is a first plan. A better one is still being looked for …',
	keepThisOne: 'Keep this one',
	stoppedAtTheFirst:
		'You stopped at the first plan that was found. How the seasons may go and what would help are told of the best one.',
	lookForABetter: 'Look for a better one',

	// ByHand
	ofOn: (pieces: Said, piece: Said, name: Said, way: Said, on: Said) => `${pieces} ${piece} of ${name}, ${way}, on ${on}`,
	howMany: 'How many',
	on: 'On',
	workingItOut: 'Working it out …',
	tryIt: 'Try it',
	planWithoutIt: 'Plan without it',
	notByThisWay: 'Not by this way',
	close: 'Close',

	// Growing
	growingItTenThousand: 'Growing it ten thousand times …',
	done: (done: Said) => `${done} done`,
	readingThePlan: 'Reading the plan …',
	stop: 'Stop',
	stoppedGrownToThe: 'Stopped. Grown to the end, it tells how many stand when, and whether striking again would help.',
	growItAgain: 'Grow it again',
	tryAgain: 'Try again',

	// Held
	whatHoldsTheRest: 'What holds the rest back',
	usuallyNoneStands: 'usually none stands',
	stands: 'stands',
	stand: 'stand',
	usually: (usually: Said, more: Said) => `usually ${usually} ${more}`,
	byThen: (odds: Said, due: Said, more: Said) => `${odds} by ${due}; ${more} then`,
	tryingWhatWouldHelp: 'Trying what would help …',
	moreThatWouldDo: (changes: Said) => `${changes} more that would do`,
	nothingThatWasTried: 'Nothing that was tried would do.',

	// Lanes
	by: (more: Said, due: Said) => `${more}by ${due}`,
	struckOn: (on: Said) => `Struck on ${on}.`,
	byHand: 'By hand: ',
	onChange: (more: Said, pieces: Said, on: Said) => `${more}${pieces} on ${on}: change`,
	nothingNewIsPlanned: 'Nothing new is planned beside what grows.',
	nothingGrowsOrIs: 'Nothing grows or is planned.',
	onUsuallyReadyAbout: (pieces: Said, piece: Said, on: Said, count: Said, from: Said) =>
		`${pieces} ${piece} on ${on}, usually ${count} ready in pots about ${from}`,
	onUsuallyPlantedAbout: (pieces: Said, piece: Said, on: Said, count: Said, from: Said) =>
		`${pieces} ${piece} on ${on}, usually ${count} planted about ${from}`,

	// Limits
	allowItAgain: 'Allow it again',
	nothingIsStruckFrom: (span: Said) => `Nothing is struck from ${span}.`,
	withoutThatLimit: 'Without that limit',
	itMayCostAt: (spend: Said) => `It may cost ${spend} at most.`,
	whatIf: 'What if: more or less time, a shelf more, a want less',
	minutesEachWeek: 'Minutes a week',
	planWithThat: 'Plan with that',
	moreRoomIn: 'More room in',
	soMuch: 'So much',
	aWantToLeave: 'A want to leave out',
	leaveItOut: 'Leave it out',
	asIfYouHad: (minutes: Said) => `As if you had ${minutes} a week.`,
	asIfThereWere: (room: Said, place: Said) => `As if there were ${room} more room in ${place}.`,
	asIfYouDid: (want: Said) => `As if you did not want ${want}.`,
	notSo: 'Take it back',
	makeItSo: 'Make it true',
	nothingOfThatIs: 'Nothing of that is written down.',
	daysToKeepFree: 'Days or places to keep free, or money to keep to',
	keptFree: (place: Said) => `Kept free: ${place}.`,
	aPlaceToKeep: 'A place to keep free',
	keepItFree: 'Keep it free',
	whatStandsThereStays: 'What stands there already stays.',
	nothingIsStruckFrom2: 'Nothing is struck from',
	to: 'to',
	planAroundThoseDays: 'Plan around those days',
	allThatIsNew: 'All that is new may cost',
	keepToIt: 'Keep to it',
	potsAndMixFor: 'Pots and mix for what the plan strikes; what grows already is not counted.',
	theLastDayComes: 'The last day comes before the first.',
	thoseDaysHaveGone: 'Those days have gone by.',

	// Loads
	yourMinutes: 'Your minutes',
	inTheWeekOf: (from: Said) => `in the week of ${from}`,
	minutes: (number: Said) => `${number} minutes`,
	growsAlready: 'grows already',
	thisPlan: 'this plan',
	thereIs: 'there is',
	min: (number: Said) => `${number} min`,

	// Planned
	next: (says: Said) => `Next: ${says}`,
	inAll: (totals: Said) => `In all ${totals}.`,
	whatToDoIn: 'What to do, in order',
	forWord: (want: Said) => `For ${want}.`,
	howToCut: 'How to cut',
	showAll: (moves: Said) => `Show all ${moves}`,
	nothingWouldBePlanned: 'Nothing would be planned otherwise',
	oneWantWouldBe: 'One want would be planned otherwise',
	wantsWouldBePlanned: (says: Said) => `${says} wants would be planned otherwise`,
	nothingWasPlanned: 'Nothing was planned.',
	onePlannedBatchStays: 'One planned batch stays as it is.',
	plannedBatchesStayAs: (stay: Said) => `${stay} planned batches stay as they are.`,
	eachWantThroughThe: 'Each want, through the seasons',
	aBodyIsA:
		'A body is a batch: as wide as it has pieces, stage by stage; green what the plan adds, pale what there is already. Drag a green one to another day, or change it below its lane. The broken line is the day you want them.',
	asYouHaveChanged: (says: Said) => `As you have changed it. ${says}`,
	planTheRestAround: 'Plan the rest around it',
	backToThePlan: 'Back to the plan as it was made',
	itStandsAlready: 'it stands already.',
	asTheSeasonsMay: 'As the seasons may go',
	whatItAsksOf: 'What it asks of your weeks and places',
	thePlanOnPaper: 'The plan on paper, for the shed door (PDF)',
	otherPlans: 'Other plans',
	ruledOut: (says: Said) => `Ruled out: ${says}.`,
	planAroundItInstead: 'Plan around it instead',
	hereAllThatIs: 'Here all that is only planned is open to change.',
	planAnewWithThose: 'Plan anew, with those open to change',
	plannedAlready: (batches: number, plants: number) => {
		const what = [
			...(batches === 0 ? [] : [batches === 1 ? 'one batch' : `${batches} batches`]),
			...(plants === 0 ? [] : [plants === 1 ? 'one plant to buy' : `${plants} plants to buy`])
		].join(' and ');
		const [is, stays] = batches + plants === 1 ? ['is', 'stays as it is'] : ['are', 'stay as they are'];
		return `${what.charAt(0).toUpperCase()}${what.slice(1)} ${is} planned already and ${stays}.`;
	},
	allStagesWithWhere: 'All stages, with where they stand',
	from: (stock: Said) => ` from ${stock}`,
	to2: (until: Said) => ` to ${until}`,
	inWord: (containers: Said, container: Said) => `, in ${containers} × ${container}`,
	usually2: (stage: Said, from: Said, more: Said, count: Said, more2: Said, more3: Said) =>
		`${stage}, ${from}${more}: usually ${count}${more2}${more3}`,
	ofThoseNoneIs: 'Of those none is better.',
	noneOfThoseCan: (gap: Said) => `None of those can be more than ${gap} % better.`,
	batchesAndCombinationsOf: (candidates: Said, patterns: Said, more: Said) =>
		`${candidates} batches and ${patterns} combinations of them were weighed. ${more}`,

	// Seasons
	usuallyMostAreIn: (from: Said, number: Said) =>
		`Usually most are in your care in the week of ${from}: ${number}; the bands hold 9 seasons in 10`,
	inTheWeekOfIt: (from: Said, share: Said) => `In the week of ${from} it asks for more minutes than you give ${share}.`,
	noWeekAsksFor: 'No week asks for more minutes than you give, but for a chance in twenty.',
	grownTimesEachWith: (seasons: Said) => `Grown ${seasons} times, each with its own weather and luck.`,
	lookInTimeAnd: 'Look in time, and strike again if there are too few',
	neededThenAboutMore: (share: Said, max: Said) => `Needed ${share}, then about ${max} more.`,
	insteadOf: (again: Said, odds: Said) => `: ${again} instead of ${odds}.`,
	aSecondStrikeAfter: 'A second strike after a look would change none of it by more than a hair.',
	settlingInPots: 'settling in pots',
	growingOn: 'growing on',
	low: (to: Said) => `${to} low`,
	high: (to: Said) => `${to} high`,

	// Take
	leaveOutWhatWas: 'Leave out what was planned',
	takeThisPlan: 'Take this plan',
	takeOfItsBatches: (many: Said) => `Take ${many} of its batches`,
	takeOnlySomeOf: 'Take only some of it',
	toBuy: (count: number) => `${count} to buy`,
	batch: 'batch',
	batches: 'batches',
	itsBatchComes: 'Its batch comes',
	itsBatchesCome: (many: Said) => `Its ${many} batches come`,
	onTheRoundOn: (more: Said) => `${more} on the round on their days.`,
	takeWhatIsTo: 'Take what is to be bought',
	whatIsToBe: 'What is to be bought comes on it eight weeks before its day.',
	oneUndoTakesAll: 'One undo takes all of it back.',
	notGrownJustNow: 'The seasons can’t be grown just now.',
	nobodyHasSaid: (what: Said) => `${what}: nobody has said how many there are`,
	growsMoreThanThere: (what: Said, when: Said) => `${what}: what grows already asks for more than there is ${when}`,
	full: (what: Said, when: Said) => `${what}: full ${when}`,
	atMostUsed: (what: Said, share: Said, when: Said) => `${what}: at most ${share} % used, ${when}`,
	dayGoneBy: 'its day has gone by: give it another.',
	waitsForOthers: 'it waits until some of those that are due before it are planned: the plan takes a hundred at a time.',
	wantedTooFarAhead: 'it is wanted more than three years ahead: the plan looks three years ahead.'
};

export const texts = inLanguages({ en });
