import { createContext, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';

/** Colours of the sheet, the bench and the marks. Every text pair is at least 4.5 to 1; `sun` figures at least 7 to 1. */
interface Palette {
  sheet: string;
  paper: string;
  bench: string;
  plank: string;
  ink: string;
  quiet: string;
  rule: string;
  chalk: string;
  onChalk: string;
  chalkWash: string;
  high: string;
  highWash: string;
  low: string;
  lowWash: string;
  wall: number;
  verdict: Record<'lay' | 'wait' | 'work' | 'measure' | 'stop', string>;
}

const day: Palette = {
  sheet: '#F5F2EC',
  paper: '#FDFCF9',
  bench: '#FFFFFF',
  plank: '#E9E3D6',
  ink: '#1E2428',
  quiet: '#59636A',
  rule: '#CFC8BA',
  chalk: '#22558C',
  onChalk: '#FFFFFF',
  chalkWash: '#EDF2F8',
  high: '#A8452E',
  highWash: '#F3E1DB',
  low: '#1D6E78',
  lowWash: '#DDEBEB',
  wall: 4,
  verdict: { lay: '#44662B', wait: '#8A6100', work: '#A8452E', measure: '#59636A', stop: '#6B1F3A' },
};

const sun: Palette = {
  ...day,
  sheet: '#FFFFFF',
  paper: '#FFFFFF',
  plank: '#F2F2F2',
  ink: '#000000',
  quiet: '#33393D',
  rule: '#6E6E6E',
  chalk: '#0F3B69',
  high: '#7C2A17',
  low: '#0B4A52',
  wall: 6,
  verdict: { lay: '#2C4A17', wait: '#5F4200', work: '#7C2A17', measure: '#33393D', stop: '#51102A' },
};

const dusk: Palette = {
  sheet: '#171B1E',
  paper: '#1E2327',
  bench: '#14181A',
  plank: '#262C30',
  ink: '#F1EEE7',
  quiet: '#A9B2B8',
  rule: '#434B50',
  chalk: '#8DB9E8',
  onChalk: '#10161B',
  chalkWash: '#1F2D3B',
  high: '#E8937C',
  highWash: '#3A2722',
  low: '#72C3CC',
  lowWash: '#1C3236',
  wall: 4,
  verdict: { lay: '#9CC77A', wait: '#E3B04B', work: '#E8937C', measure: '#A9B2B8', stop: '#E78BAB' },
};

export type Light = 'device' | 'day' | 'sun' | 'dusk';
export const LIGHTS: readonly Light[] = ['device', 'day', 'sun', 'dusk'];

export const FACE = {
  text: 'Barlow',
  textBold: 'Barlow-SemiBold',
  figure: 'BarlowSemiCondensed',
  figureBold: 'BarlowSemiCondensed-SemiBold',
} as const;
export const SIZE = { small: 14, text: 16, large: 20, title: 28, entry: 44 } as const;
/** Room between things, px: what belongs together, what stands side by side, parts of a form, the edge of the bench. */
export const SPACE = { near: 4, gap: 8, part: 12, edge: 16 } as const;
/** From this width the course stands left of the sheet and the bench right of it. */
export const WIDE_PX = 1000;
export const BENCH_PX = 400;

interface Look {
  palette: Palette;
  light: Light;
  setLight: (light: Light) => void;
}

const LookContext = createContext<Look>({ palette: day, light: 'device', setLight: () => undefined });
const KEPT = 'maquette.light';

function kept(): Light {
  const value = globalThis.localStorage?.getItem(KEPT);
  return LIGHTS.find((light) => light === value) ?? 'device';
}

export function LookProvider({ children }: { children: ReactNode }) {
  const [light, setLight] = useState<Light>(kept);
  const [dark, setDark] = useState(() => globalThis.matchMedia?.('(prefers-color-scheme: dark)').matches ?? false);
  useEffect(() => {
    const query = globalThis.matchMedia?.('(prefers-color-scheme: dark)');
    const follow = (event: MediaQueryListEvent) => setDark(event.matches);
    query?.addEventListener('change', follow);
    return () => query?.removeEventListener('change', follow);
  }, []);
  const look = useMemo<Look>(() => {
    const shown = light === 'device' ? (dark ? 'dusk' : 'day') : light;
    return {
      palette: { day, sun, dusk }[shown],
      light,
      setLight: (next) => {
        globalThis.localStorage?.setItem(KEPT, next);
        setLight(next);
      },
    };
  }, [light, dark]);
  useEffect(() => {
    const page = globalThis.document?.documentElement.style;
    page?.setProperty('background-color', look.palette.sheet);
    // The ring around what has the focus is the page's.
    page?.setProperty('--focus', look.palette.chalk);
  }, [look.palette]);
  return <LookContext.Provider value={look}>{children}</LookContext.Provider>;
}

export function useLook(): Look {
  return useContext(LookContext);
}

export function usePalette(): Palette {
  return useContext(LookContext).palette;
}
