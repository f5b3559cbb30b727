// The screen stays awake while somebody bakes by it.
import { useEffect } from 'react';

export function useAwake() {
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    const take = () => {
      if (document.visibilityState === 'visible')
        navigator.wakeLock?.request('screen').then(
          (l) => (lock = l),
          () => undefined,
        );
    };
    take();
    document.addEventListener('visibilitychange', take);
    return () => {
      document.removeEventListener('visibilitychange', take);
      void lock?.release();
    };
  }, []);
}
