// Charts come in one file of their own, with all that draws them: a stage stands before it has any.
export { AirChart } from './air-chart.tsx';
export { DryingChart } from './drying-chart.tsx';
