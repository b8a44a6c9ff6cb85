// Charts come in one file of their own, with all that draws them: a stage stands before it has any.
export { AirChart } from './damp/air-chart.tsx';
export { DryingChart } from './damp/drying-chart.tsx';
export { YearChart } from './under/year-chart.tsx';
