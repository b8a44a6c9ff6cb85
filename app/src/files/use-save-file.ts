import { useState } from 'react';
import { saveText } from '../data/save-text.ts';
import { fileFormats, type FileFormats } from './formats.ts';

type Write = (formats: FileFormats) => string | Promise<string>;

/** Saves files by writers that are fetched when one is asked for; says why where that fails. */
export function useSaveFile(): { save: (name: string, type: string, write: Write) => void; failed: string | null } {
  const [failed, setFailed] = useState<string | null>(null);
  const save = async (name: string, type: string, write: Write) => {
    try {
      saveText(name, type, await write(await fileFormats()));
      setFailed(null);
    } catch (error) {
      setFailed(error instanceof Error ? error.message : String(error));
    }
  };
  return { failed, save: (name, type, write) => void save(name, type, write) };
}
