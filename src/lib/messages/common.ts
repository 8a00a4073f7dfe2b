/** What stands on every screen: bars, the season strip, finding, keys, fields, the counts of tools. */
import { inLanguages } from './language.js';
import type { Said } from './language.js';

const en = {
	// ChoiceField
	allOfThem: 'All of them',
	nothingByThatName: 'Nothing by that name here.',

	// Chrome
	findCtrlK: 'Find (Ctrl K)',
	find: 'Find',
	gardenSettings: 'Garden settings',
	garden: 'Garden',
	screens: 'Screens',

	// Clocks
	clocks: 'Clocks',
	timeIsUp: 'Time is up',
	done: 'Done',
	stop: 'Stop',
	min: (minutes: Said) => `${minutes} min`,
	days: (minutes: Said) => `${minutes} days`,

	// DayField
	thatIsNoDay: (date: Said) => `That is no day of the calendar: write it like ${date}.`,

	// DayInput
	chooseFromTheCalendar: 'Choose from the calendar',

	// EntryForm
	thatCouldNotBe: 'That could not be read.',
	theAppDoesNot: 'The app does not answer. What you typed is still here: try again in a moment.',
	day: 'Day',
	signInInAnother: 'Sign in in another tab',
	saving: 'Saving …',

	// Hand
	dates: 'Dates',
	numbers: 'Numbers',

	// Keys
	keys: 'Keys',
	findAScreenA: 'Find a screen, a kind, a plant, a want or a code',
	showTheseKeys: 'Show these keys',
	onTheSeasonStrip: 'On the season strip: a day back or on',
	onTheSeasonStripA: 'On the season strip: a week back',
	onTheSeasonStripAMonth: 'On the season strip: a month on',
	onTheSeasonStripBack: 'On the season strip: back to today',
	closeWhatIsOpen: 'Close what is open',

	// Look
	lightOrDark: 'Light or dark',
	asThisDeviceHas: 'As this device has it',
	light: 'Light',
	dark: 'Dark',

	// MoreRows
	showMoreOf: (next: Said, hidden: Said, ofSaid: Said) => `Show ${next} more of ${hidden} ${ofSaid}`,
	showTheLast: (more: Said) => `Show the last ${more}`,

	// NoteField
	note: 'Note',
	addANote: 'Add a note',

	// Palette
	kindStockWantBatch: 'Kind, stock, want, batch or code',
	kindStockWantBatchOr: 'Kind, stock, want, batch, or a code from a stick',
	found: 'Found',
	noBatchOfThis: 'No batch of this garden has that code.',

	// SeasonStrip
	seasonStrip: 'Season strip',
	today: 'Today',
	lookingAt: 'Looking at',
	backToToday: 'Back to today',
	showDay: 'Show day',
	closeTheYear: 'Close the year',
	theYear: 'The year',
	dayShownOnAll: 'Day shown on all screens',
	frostLikely: 'frost likely',
	lengthOfDay: 'length of day',
	batchStrikeToPlanting: 'batch, strike to planting',
	planned: 'planned',
	wantedBy: 'wanted by',
	usualTemperature: 'usual temperature',
	coldestOfTheWeek: (name: Said) => `coldest of the week inside ${name}`,
	daysAndNightsAs: 'days and nights as they were',
	weather: 'Weather',
	theYearOnOne: 'The year on one page',
	downToThatWeek: (name: Said, low: Said) => `, ${name} down to ${low} that week`,
	open: (label: Said) => `, ${label} open`,
	noFrostIsKnown: 'no frost is known here',
	theSeasonsFrostsHave: 'the season’s frosts have begun and not ended',

	// Stepper
	oneLess: (label: Said) => `One less: ${label}`,
	oneMore: (label: Said) => `One more: ${label}`,

	// Trail
	whereThisBelongs: 'Where this belongs',

	// every page
	somethingWentWrong: 'Something went wrong.',
	start: './start',
	itWorksAgainAs: 'It works again as soon as the database is back. Look whether',
	stillRuns: 'still runs.',
	tryAgain: 'Try again',
	toTheRound: 'To the round',
	toTheContent: 'To the content',
	undo: 'Undo',
	closeThisMessage: 'Close this message',
	dayTold: (day: Said, frosts: Said, hours: Said, more: Said) => `${day}: ${frosts}, ${hours} h of day${more}`,

	// UndoEntry
	undoOf: (line: Said) => `Undo: ${line}`
};

export const texts = inLanguages({ en });
