import { messageOf } from '$lib/core/base/problems';
/** Keeps the screen awake while the run is on it; gives what ends that. */
export function keepAwake(): () => void {
  let lock: WakeLockSentinel | undefined;
  const hold = async (): Promise<void> => {
    try {
      if (document.visibilityState === 'visible') lock = await navigator.wakeLock?.request('screen');
    } catch (problem) {
      // Without the lock the device’s own setting decides.
      console.info(`The screen may go dark: ${messageOf(problem)}`);
    }
  };
  const again = (): void => void hold();
  again();
  document.addEventListener('visibilitychange', again);
  return () => {
    document.removeEventListener('visibilitychange', again);
    void lock?.release();
  };
}
