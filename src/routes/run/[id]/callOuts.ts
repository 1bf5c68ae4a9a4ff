import { messageOf } from '$lib/core/base/problems';
import type { Voice } from '$lib/data';

/** Calls a step out as it comes; nothing where there is none. */
export function callOut({ spoken, tones }: Voice, words: string): void {
  if (words === '') return;
  if (spoken) speak(words);
  if (tones) tone('done');
}

/** Calls the maker to the machine shortly before hands are needed. */
export function callHands({ spoken, tones }: Voice, soon: boolean, catches: boolean): void {
  if (!soon) return;
  if (tones) tone('hands');
  if (spoken) speak(catches ? 'Catch the machine. It does not halt by itself.' : 'Hands in half a minute.');
}

/** Says a sentence aloud, where the browser can. What was being said is broken off. */
function speak(words: string): void {
  if (!('speechSynthesis' in window)) return;
  window.speechSynthesis.cancel();
  const said = new SpeechSynthesisUtterance(words);
  said.lang = 'en';
  window.speechSynthesis.speak(said);
}

let audio: AudioContext | undefined;

/** A tone: high for “hands now”, low for “done”. */
function tone(kind: 'hands' | 'done'): void {
  try {
    audio ??= new AudioContext();
    const note = audio.createOscillator();
    const loudness = audio.createGain();
    note.frequency.value = kind === 'hands' ? 880 : 440;
    loudness.gain.setValueAtTime(0.2, audio.currentTime);
    loudness.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + 0.5);
    note.connect(loudness).connect(audio.destination);
    note.start();
    note.stop(audio.currentTime + 0.5);
  } catch (problem) {
    console.info(`No sound on this device: ${messageOf(problem)}`);
  }
}
