declare global {
	namespace App {
		interface Error {
			message: string;
			code?: string;
		}
		interface Locals {
			/** Who writes entries: the household has one shared sign-in. */
			actor: string;
			requestId: string;
			/** Where signing in is asked: has the visitor? */
			signedIn: boolean;
		}
	}
}

export {};
