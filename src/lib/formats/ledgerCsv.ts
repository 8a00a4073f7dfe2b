/** The ledger as CSV (RFC 4180), one row an entry, the entry's own data as JSON in its last column. */
import Papa from 'papaparse';

export interface LedgerRow {
	id: string;
	happened_on: string;
	recorded_at: Date;
	kind: string;
	subject: string;
	subject_id: string;
	kind_id: string | null;
	line: string;
	note: string;
	undone: boolean;
	reverses: string | null;
	data: unknown;
}

const COLUMNS = [
	'id',
	'day',
	'recorded',
	'entry',
	'subject',
	'subject_id',
	'plant',
	'line',
	'note',
	'undone',
	'reverses',
	'data'
] as const;

/** Byte order mark: without it spreadsheets misread letters beyond ASCII. */
export const csvHead = (): string => `\uFEFF${COLUMNS.join(',')}\r\n`;

/** Rows with their line ends. Cells that a spreadsheet would run as a formula are made harmless. */
export function csvRows(rows: readonly LedgerRow[]): string {
	const table = rows.map((r) => [
		r.id,
		r.happened_on,
		r.recorded_at.toISOString(),
		r.kind,
		r.subject,
		r.subject_id,
		r.kind_id ?? '',
		r.line,
		r.note,
		r.undone ? 'yes' : 'no',
		r.reverses ?? '',
		JSON.stringify(r.data)
	]);
	return `${Papa.unparse(table, { newline: '\r\n', escapeFormulae: true })}\r\n`;
}
