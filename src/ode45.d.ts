/** Adaptive Runge-Kutta of Cash & Karp, for tests: its types, as far as we use it. */
declare module 'ode45-cash-karp' {
	interface Integrator {
		y: number[];
		t: number;
		steps(count: number, until: number): boolean;
	}
	export default function ode45(
		y: number[],
		deriv: (dydt: number[], y: number[], t: number) => void,
		t: number,
		dt: number,
		options?: { tol?: number; dtMaxMag?: number; verbose?: boolean }
	): Integrator;
}
