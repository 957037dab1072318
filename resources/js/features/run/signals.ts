import { useEffect, useRef } from 'react';

let audio: AudioContext | undefined;

/** Must be called from a press: browsers give sound only after one. */
export function readySound(): void {
  audio ??= new AudioContext();
  void audio.resume();
}

function beep(): void {
  if ('vibrate' in navigator) navigator.vibrate([180, 80, 180]);
  if (!audio) return;
  const tone = audio.createOscillator();
  const volume = audio.createGain();
  tone.frequency.value = 880;
  volume.gain.setValueAtTime(0.6, audio.currentTime);
  volume.gain.exponentialRampToValueAtTime(0.01, audio.currentTime + 0.5);
  tone.connect(volume).connect(audio.destination);
  tone.start();
  tone.stop(audio.currentTime + 0.5);
}

/** Sounds whenever the segment changes while the clock runs. */
export function useBeepOnChange(index: number, isRunning: boolean): void {
  const last = useRef(index);
  useEffect(() => {
    if (isRunning && last.current !== index) beep();
    last.current = index;
  }, [index, isRunning]);
}

/** Keeps the screen on while the run is open, and takes the lock again when the page comes back. */
export function useWakeLock(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | undefined;
    const take = async () => {
      if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
      // Refused without a secure context or with a low battery: the run goes on all the same.
      lock = await navigator.wakeLock.request('screen').catch(() => undefined);
    };
    const onVisible = () => void take();
    void take();
    document.addEventListener('visibilitychange', onVisible);
    return () => {
      document.removeEventListener('visibilitychange', onVisible);
      void lock?.release();
    };
  }, []);
}
