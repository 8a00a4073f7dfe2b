/** What a printed page is made of, for whoever has it read aloud: headings, lists, figures; the rest is decoration. */
import type { Pdf } from './pdf.js';

/** Structure types of ISO 32000-1, 14.8.4 (PDF 1.7), as far as our pages have them. */
export type Tag = 'H1' | 'H2' | 'P' | 'L' | 'LI' | 'LBody' | 'Sect';
type Element = ReturnType<Pdf['struct']>;

export class Tags {
	private at: Element;

	constructor(private readonly doc: Pdf) {
		this.at = doc.struct('Document');
		doc.addStructure(this.at);
	}
	/** Something that holds others: what `work` tags lies in it. */
	in(tag: Tag, work: () => void): void {
		const around = this.at;
		const mine = this.doc.struct(tag);
		around.add(mine);
		this.at = mine;
		work();
		mine.end();
		this.at = around;
	}
	/** Words. `work` sets them. */
	say(tag: Tag, work: () => void): void {
		this.at.add(this.doc.struct(tag, {}, work));
	}
	/** A picture, with what it shows in words. */
	figure(alt: string, work: () => void): void {
		this.at.add(this.doc.struct('Figure', { alt }, work));
	}
	/** Rules, boxes, frames: nothing that is read. */
	decoration(work: () => void): void {
		this.doc.markContent('Artifact', { type: 'Layout' });
		work();
		this.doc.endMarkedContent();
	}
	end(): void {
		this.at.end();
	}
}
