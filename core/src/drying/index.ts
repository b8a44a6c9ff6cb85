export { dayReached, humidityOn, type Slab } from './slab.ts';
export { fitSeries, type Series } from './fit.ts';
export { type DryingPlan, type Forecast, forecastSeries, speedAt } from './forecast.ts';
export { ruleOfThumbDays } from './rule-of-thumb.ts';
