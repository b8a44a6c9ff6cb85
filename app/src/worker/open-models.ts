import loadHighs from 'highs';
import { highsMixed, type SolveMixed } from '@maquette/core/heights';
import { highsModels, type OpenModel } from '@maquette/core/levelling';

let loaded: ReturnType<typeof loadHighs> | null = null;
let opened: Promise<OpenModel> | null = null;

/** The solver itself, loaded once in a worker's life. */
const load = () => (loaded ??= loadHighs({ locateFile: (file) => `/${file}` }));

/** Programmes with whole variables, solved to the proved least. */
export const openMixed = async (): Promise<SolveMixed> => highsMixed(await load());

/** The solver, loaded once in a worker's life; its wasm file is served with the app. */
export function openModels(): Promise<OpenModel> {
  opened ??= load().then(highsModels);
  return opened;
}
