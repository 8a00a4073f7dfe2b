/** What the wants say: what is wanted, by when, how it can be had. */
import { inLanguages } from './language.js';
import type { Said } from './language.js';

const en = {
	// OtherKinds
	otherKindsWould: 'Other kinds would do as well',
	anotherKind: 'Another kind',
	aThirdKind: 'A third kind',
	aFourthKind: 'A fourth kind',
	aFifthKind: 'A fifth kind',
	noOtherKind: 'None',
	togetherTheyMake: 'All of them together make up the number.',
	// WouldDoFields
	ifItCantBe: 'If it can’t be met whole',
	fewerThatWouldDo: 'Fewer that would do',
	emptyAllOfThem: 'Empty: all of them or it is not met.',
	weeksThatItMay: 'Weeks that it may be late',
	ofThemMayBe: 'Of them may be bought',
	thePlanBuysAs: 'Empty: all are grown. The plan buys where growing gives too few or is far more work.',
	ifNotAllWants: 'If not all wants can be met',
	thisBeforeOthers: 'This before others',
	thisLikeOthers: 'This like others',
	thisAfterOthers: 'This after others',

	// WouldTake
	whatItWouldTake: 'What it would take',
	chooseAKindHow: 'Choose a kind, how many and by when: what that takes is worked out here.',
	addOneThatYou: 'Add one that you have',
	leastWork: (way: Said) => `Least work: ${way}`,
	on: (pieces: Said) => `${pieces} on `,
	leavesYou: 'leaves you',
	orMoreBy: (target: Said, due: Said) => `${target} or more by ${due}`,
	readyAboutOfWork: (ready: Said, minutes: Said, target: Said, buying: Said) =>
		`Ready about ${ready}, ${minutes} of work in all. Bought, ${target} would cost about ${buying}.`,
	theLastSafeDay: (lastSafe: Said) => `The last safe day to strike is ${lastSafe}.`,
	notQuiteAsSure: 'Not quite as sure as you ask',
	youCantBeThat: 'You can’t be that sure of having them',
	by: (more: Said, due: Said) => `${more} by ${due}.`,
	butDontCountOn: 'but don’t count on any',
	theyUsuallyLeave: (usually: Said) => `they usually leave ${usually}`,
	theMostByThen: (plural: Said, way: Said, more: Said) => `The most by then: ${plural}, ${way}; ${more}.`,
	asSureAsYou: 'As sure as you ask by',
	struckOn: (plural: Said, way: Said, on: Said) => `: ${plural}, ${way}, struck on ${on}.`,
	boughtWouldCostAbout: (target: Said, buying: Said) => `Bought, ${target} would cost about ${buying}.`,
	itCantBeWorked: 'It can’t be worked out just now.',

	// wants
	wants: (name: Said) => `Wants · ${name}`,
	whatYouWantAnd: 'What you want, and whether you will get it',
	allInHand: 'All in hand.',
	ofNeedYou: (trouble: Said, wants: Said, more: Said) => `${trouble} of ${wants} need${more} you.`,
	sayWhatYouWant: 'Say what you want',
	planAllOfIt: 'Plan all of it together',
	nothingIsWantedYet:
		'Nothing is wanted yet. Say how many of what should stand where, and by when: the plan tells how many pieces to strike, when, and with what odds.',
	by2: (label: Said, more: Said, due: Said) => `${label}${more} · by ${due}`,
	hangsMostOnOf: (hinge: Said, code: Said) => `Hangs most on ${hinge} of ${code}.`,
	planted: (planted: Said) => `${planted} planted.`,
	growing: (growing: Said) => `${growing} growing.`,
	toBuy: (count: number) => `${count} to buy.`,
	bought2: (count: number) => `${count} bought.`,
	planned: (planned: Said) => `${planned} planned.`,
	nothingPlannedOrGrowing: 'Nothing planned or growing.',
	inHand: 'in hand',

	// wants/[want]
	byAsSureAs: (purpose: Said, more: Said, due: Said, confidence: Said) =>
		`${purpose}${more} · by ${due} · as sure as ${confidence} times in 100`,
	orMore: (target: Said) => `${target} or more`,
	withoutWhatIsOnly: (oddsGrowing: Said) => `Without what is only planned: ${oddsGrowing}.`,
	asThingsStand: 'As things stand',
	nothingWasLoggedOf:
		'Nothing was logged of it since: the days gone by, what your garden’s other batches taught, or its places have changed it.',
	plannedWhenItWas: (on: Said, odds: Said) => `Planned ${on}, when it was ${odds}.`,
	whatWasLoggedSince: 'What was logged since',
	entry: 'entry',
	entries: 'entries',
	more: (more: Said, more2: Said) => `${more} ${more2} more`,
	inTheGroundAbout: (usual: Said, more: Said) => `In the ground about ${usual}${more}.`,
	itHangsMostOn: (hinge: Said) => `It hangs most on ${hinge} of`,
	itsBatches: 'Its batches',
	plannedFor: (planned: Said, on: Said) => `${planned} planned for ${on}`,
	struckInHand: (struck: Said, on: Said, inHand: Said) => `${struck} struck ${on}, ${inHand} in hand`,
	inTime: (inTime: Said) => `${inTime} in time`,
	thePlan: 'The plan',
	toMakeUpWhat: 'To make up what is missing',
	waysToGetThere: 'Ways to get there',
	fromThisStock: 'From this stock',
	planFromIt: 'Plan from it',
	addStockOf: (common: Said) => `Add stock of ${common}`,
	recordALicenceOr: 'Record a licence or that the term has ended',
	broughtInto: 'Brought into',
	inWord: 'In',
	theParent: 'the parent',
	the: (more: Said, place: Said) => `${more} the ${place},`,
	noneOfYourPlaces: (winterSays: Said) => `None of your places shelters the parent, so all rests on cuttings. ${winterSays}`,
	theLastSafeDayTo: 'The last safe day to strike is',
	theyStandInThe: (hourWorth: Said, worth: Said, name: Said) =>
		`They stand in the order of what they cost you, with an hour of your time at ${hourWorth}. At ${worth} an hour, ${name} would come first.`,
	notWantedAnyMore: 'Not wanted any more',
	dropThisWant: 'Drop this want',
	why: 'Why',
	ledger: 'ledger',
	droppedUndoItFrom: 'Dropped. Undo it from the',
	ifThatWasA: 'if that was a mistake.',

	// ChangeWant
	changeTheNumberThe: 'Change the number, the day or how sure',
	changeIt: 'Change it',
	howMany: 'How many',
	byTheDay: 'By the day',
	asSureAsTimes: 'As sure as, times in 100',
	whereTheyGo: 'Where they go',
	noPlaceYet: 'No place yet',
	whatForInYour: 'What for, in your words',
	whatWasSaidOf: 'What was said of it',

	// Instead
	usuallyLeave: (usually: Said, probability: Said) => `usually leave ${usually}; ${probability}`,
	theMostThatCan: (name: Said, goes: Said, more: Said) => `The most that can be had by then: ${name}, ${goes}, ${more}.`,
	asSureAsYouAsk: (later: Said, name: Said, strike: Said, on: Said) =>
		`As sure as you ask by ${later}: ${name}, ${strike} struck on ${on}.`,
	handbook: 'handbook',
	boughtWouldCostAboutPrice: (target: Said, buying: Said) =>
		`Bought, ${target} would cost about ${buying} (price per plant is a guess; set yours in the`,
	haveThemBy: (later: Said) => `Have them by ${later}`,

	// Stages
	stageByStageAnd: 'Stage by stage, and how',
	until: 'Until',
	pieces: 'Pieces',
	room: 'Room',
	mix: 'Mix',
	about: 'About',
	mediumCoverHormone: (say: Said, medium: Said, cover: Said, hormone: Said) =>
		`${say}. Medium: ${medium}. Cover: ${cover}. Hormone: ${hormone}.`,
	window: (window: Said) => `Window: ${window}.`,

	// Bought
	toBeBought: (count: number, cost: Said) => `${count} to be bought, ${cost}`,
	soManyAreToBe: (count: number) => `${count} of them ${count === 1 ? 'is' : 'are'} to be bought.`,
	soManyWereBought: (count: number) => `${count} of them ${count === 1 ? 'was' : 'were'} bought.`,
	noneIsNeeded: 'With what grows as it stands none is needed any more.',
	soManyWouldDo: (count: number) => `With what grows as it stands ${count} would do.`,
	theyAreBought: 'They are bought',
	bought3: 'Bought',
	buySomeOfThem: 'Buy some of them',
	anotherNumberToBe: 'Another number to be bought',
	toBeBought2: 'To be bought',
	noneGrowsAll: '0: none.',
	putThemOnThe: 'Save',
	someWereBought: 'Some were bought already',

	// WayBest
	forItsStock: (count: number, due: Said) => `for its stock: ${count} to take from by ${due}`,
	itsStockIsGrown: 'Its stock is grown first, and it waits',
	takesSoMany: (place: Said, fits: number, due: Said) =>
		fits === 0
			? `${place} has no room for it from ${due} on, beside what stands there then.`
			: `${place} takes only ${fits} of them from ${due} on, beside what stands there then.`,
	itsGround: 'Its ground',
	leastWork2: 'Least work',
	withTheseOf: (kind: Said) => `These are ways with ${kind} alone. The plan of all wants takes all kinds that would do together.`,
	anotherWay: 'Another way',
	more2: ' more',
	take: (strike: Said, more: Said) => `Take ${strike}${more};`,
	ofThemAreReady: (inTime: Said) => `${inTime} of them are ready in time.`,
	lastSafeDay: (lastSafe: Said) => `Last safe day ${lastSafe}.`,
	outsideTheBestWeeks: 'Outside the best weeks of its window, but in it.',
	readyAbout: (usual: Said, more: Said) => `Ready about ${usual}${more}.`,
	yourOwnAmongThem: ', your own among them',
	itHangsMostOnKnown: (hinge: Said, chance: Said, weight: Said, more: Said) =>
		`It hangs most on ${hinge}: ${chance}, known as well as if ${weight} pieces had been counted${more}.`,
	ourOwnJudgement: 'our own judgement',
	howAlikeThePieces: 'How alike the pieces of one batch fare is',
	ifTheyWereTwice: (moreAlike: Said) => `. If they were twice as alike: ${moreAlike}.`,
	whatLimitsIt: 'What limits it:',
	workInAll: 'Work in all',
	mostInAWeek: 'Most in a week',
	none: 'none',
	costsOrBought: 'Costs, or bought',
	bought: (more: Said, buying: Said) => `${more}; bought ${buying}`,
	takeThisPlan: 'Take this plan',
	otherDays: 'Other days',

	// WayShort
	dontCountOnAny: (plural: Said, goes: Said) => `Don’t count on any by then, even from ${plural} ${goes}.`,
	theMostItCan: (usually: Said, plural: Said, goes: Said, probability: Said) =>
		`The most it can bring by then: usually ${usually} from ${plural} ${goes}; ${probability}.`,
	planThatAllThe: 'Plan that all the same',

	// wants/new
	aWant: (name: Said) => `A want · ${name}`,
	whatShouldStandWhere: 'What should stand where, and by when?',
	writeItDownAnd: 'Write it down and plan',
	kind: 'Kind',
	typeAnyNameOf: 'Type any name of it',
	youHaveStock: 'you have stock',
	whatFor: 'What for',
	howManyMustBe: 'How many must be alive',
	winterIsOverBy: 'Winter is over by',
	inTheGroundBy: 'In the ground by',
	howSure: 'How sure',
	timesIn100: 'times in 100',
	n90IsUsual99: '90 is usual; 99 costs many more pieces.',
	where: 'Where',
	inYourWords: 'In your words',
	forThePathEdge: 'for the path edge',

	// GroundFields
	area: 'Area',
	orWidthAndLength: 'Or width and length below',
	width: 'Width',
	lengthOfTheHedge: 'Length of the hedge',
	lengthAsOnA: 'Length, as on a map',
	spacing: 'Spacing',
	leftBlankTheHandbooks: (spacingCm: Said, unit: Said) => `Left blank: ${spacingCm} ${unit}, the handbook’s`,
	rows: 'Rows',
	twoStaggered: 'two, staggered',
	allAreStruckBy: 'All are struck by one way within a season, so that the hedge grows up alike.',
	slopeOfTheLength: 'Slope of the length',
	n0IsLevelThe: '0 is level; the ground is longer than the map',
	pattern: 'Pattern',
	staggeredAllNeighboursAlike: 'staggered, all neighbours alike',
	sparesForGaps: 'Spares for gaps',
	spares: 'Spares',
	plant: 'plant',
	plants: 'plants',
	onOfGround: (areaM2: Said) => ` on ${areaM2} of ground`
};

export const texts = inLanguages({ en });
