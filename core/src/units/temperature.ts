import { roundTo, type UnitSystem } from './length.ts';

/** Degrees Fahrenheit of a temperature in degrees Celsius. */
export const fahrenheit = (celsius: number): number => celsius * 1.8 + 32;
/** Degrees Celsius of a temperature in degrees Fahrenheit. */
export const celsiusOf = (degF: number): number => (degF - 32) / 1.8;

export const temperatureUnit = (units: UnitSystem): string => (units === 'metric' ? '°C' : '°F');

/** A temperature as a figure of the reader's units, its unit said elsewhere. */
export const temperatureIn = (celsius: number, units: UnitSystem): number =>
  units === 'metric' ? celsius : fahrenheit(celsius);

/** A temperature with its unit: `18.5 °C`, `65.3 °F`. */
export const formatTemperature = (celsius: number, units: UnitSystem, places = 1): string =>
  `${roundTo(temperatureIn(celsius, units), 10 ** -places).toFixed(places)} ${temperatureUnit(units)}`;

/** How far one temperature lies from another, with its unit: `3 °C`, `5.4 °F`. */
export const formatTemperatureSpan = (celsius: number, units: UnitSystem, places = 1): string =>
  `${roundTo(units === 'metric' ? celsius : celsius * 1.8, 10 ** -places).toFixed(places)} ${temperatureUnit(units)}`;
