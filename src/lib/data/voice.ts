import { db } from './db';

/** What the run screen says aloud. */
export interface Voice {
  spoken: boolean;
  tones: boolean;
}

const KEY = 'voice';

export async function voiceKept(): Promise<Voice> {
  return ((await db.meta.get(KEY))?.value as Voice | undefined) ?? { spoken: false, tones: false };
}

export async function keepVoice(voice: Voice): Promise<void> {
  await db.meta.put({ key: KEY, value: voice });
}
