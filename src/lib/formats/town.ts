/** A town as /api/towns tells it. */
export interface Town {
	/** As it was looked for, then its own name, part and country: "Hay-on-Wye (Hay), Wales, United Kingdom". */
	name: string;
	/** Degrees, to a hundredth; south and west negative. */
	latitude: number;
	longitude: number;
	heightM: number;
	/** What is paid with there, ISO 4217; none where that is not known. */
	currency: string;
	/** Whether lengths are in feet and warmth in °F there. */
	us: boolean;
	/** The big town it is near, where others in the answer read alike. */
	near: string;
}
