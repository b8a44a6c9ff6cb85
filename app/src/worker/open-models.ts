import loadHighs from 'highs';
import { highsModels, type OpenModel } from '@maquette/core/levelling';

let opened: Promise<OpenModel> | null = null;

/** The solver, loaded once in a worker's life; its wasm file is served with the app. */
export function openModels(): Promise<OpenModel> {
  opened ??= loadHighs({ locateFile: (file) => `/${file}` }).then(highsModels);
  return opened;
}
