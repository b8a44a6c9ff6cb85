export { AIR_RANGES, type AirBands, type AirLog, type AirReading, type AirSample, LOG_SAMPLES_MOST } from './facts.ts';
export { dewPointC, equilibriumMcPercent } from './psychrometrics.ts';
export { type AirHistory, airHistory, bandClock, inBand, outWords, samplesOf } from './history.ts';
