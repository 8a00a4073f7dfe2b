/**
 * Conversions at the edges. Inside, everything is cm, m², L, °C. Factors are exact by the
 * international yard and pound agreement (1 in = 2.54 cm) and the US liquid gallon (231 in³).
 */
export type LengthSystem = 'metric' | 'us';
export type TemperatureScale = 'C' | 'F';

export const CM_PER_INCH = 2.54;
export const CM_PER_FOOT = 30.48;
export const M2_PER_SQUARE_FOOT = 0.09290304;
export const LITRES_PER_US_QUART = 0.946352946;

export const toFahrenheit = (celsius: number): number => (celsius * 9) / 5 + 32;
export const toCelsius = (fahrenheit: number): number => ((fahrenheit - 32) * 5) / 9;
export const inchesFromCm = (cm: number): number => cm / CM_PER_INCH;
export const feetFromMetres = (m: number): number => (m * 100) / CM_PER_FOOT;
