import { useEffect, useRef, useState, useSyncExternalStore } from 'react';
import { note, noted } from '../lib/deviceNotes';
import type { Cue, Tone } from './cues';

/** What of a cue this device gives. */
export interface Signals {
  tones: boolean;
  voice: boolean;
  buzz: boolean;
}
const kept = 'run-signals';
const all: Signals = { tones: true, voice: true, buzz: true };

export type SignalsChoice = [Signals, (signals: Signals) => void];

export function useSignals(): SignalsChoice {
  const [signals, setSignals] = useState<Signals>(() => ({ ...all, ...(JSON.parse(noted(kept) ?? '{}') as Partial<Signals>) }));
  return [
    signals,
    (next) => {
      setSignals(next);
      note(kept, JSON.stringify(next));
    },
  ];
}

let audio: AudioContext | undefined;

/** Must be called from a press: browsers give sound only after one. */
export function readySound(): void {
  if (!audio) {
    audio = new AudioContext();
    listeners.forEach((tell) => tell());
  }
  void audio.resume();
}
const listeners = new Set<() => void>();
const onReady = (tell: () => void): (() => void) => {
  listeners.add(tell);
  return () => listeners.delete(tell);
};

/** Pitch, length and how many of each tone: told apart with the eyes on the feet. */
const tones: Record<Tone, [hertz: number, seconds: number, times: number]> = {
  go: [880, 0.5, 1],
  stop: [440, 0.9, 1],
  soon: [660, 0.12, 2],
  next: [587, 0.25, 2],
};
const buzzes: Record<Tone, number[]> = { go: [250], stop: [400], soon: [80, 80, 80], next: [160, 90, 160] };

interface Planned {
  sound: OscillatorNode;
  /** Of the sound card's clock. */
  at: number;
}

/** Tones are given to the sound card ahead of time: nothing the page is slowed down by makes them late. */
function plan(card: AudioContext, tone: Tone, inSeconds: number): Planned[] {
  const [hertz, seconds, times] = tones[tone];
  return Array.from({ length: times }, (_, i) => {
    const at = card.currentTime + Math.max(0, inSeconds) + i * seconds * 1.6;
    const sound = card.createOscillator();
    const volume = card.createGain();
    sound.frequency.value = hertz;
    volume.gain.setValueAtTime(0.6, at);
    volume.gain.exponentialRampToValueAtTime(0.01, at + seconds);
    sound.connect(volume).connect(card.destination);
    sound.start(at);
    sound.stop(at + seconds);
    return { sound, at };
  });
}

/** One that is sounding just now may finish. */
function takeBack(planned: Planned[], card: AudioContext): void {
  for (const { sound, at } of planned) if (at > card.currentTime + 0.02) sound.stop();
}

export function speak(words: string): void {
  if (!words || !('speechSynthesis' in window)) return;
  window.speechSynthesis.cancel();
  window.speechSynthesis.speak(new SpeechSynthesisUtterance(words));
}

const nameOf = (cue: Cue): string => `${cue.atMs} ${cue.tone}`;

/** Plans the tones of what is to come; what no longer comes is taken back. */
function useTones(cues: Cue[], runMs: number, areOn: boolean): void {
  const isReady = useSyncExternalStore(onReady, () => audio !== undefined);
  const planned = useRef(new Map<string, Planned[]>());
  const wanted = areOn ? cues.map(nameOf).join(',') : '';
  const latest = useRef({ cues, runMs });
  useEffect(() => {
    latest.current = { cues, runMs };
  });
  useEffect(() => {
    if (!audio) return;
    const names = new Set(wanted.split(','));
    for (const [name, sounds] of planned.current)
      if (!names.has(name)) {
        takeBack(sounds, audio);
        planned.current.delete(name);
      }
    for (const cue of latest.current.cues)
      if (names.has(nameOf(cue)) && !planned.current.has(nameOf(cue)))
        planned.current.set(nameOf(cue), plan(audio, cue.tone, (cue.atMs - latest.current.runMs) / 1000));
  }, [wanted, isReady]);
  useEffect(() => {
    const all = planned.current;
    return () => {
      for (const sounds of all.values()) if (audio) takeBack(sounds, audio);
    };
  }, []);
}

/** Gives every cue in its moment. After a sleep only the last of those that were missed is said. */
export function useCues(cues: Cue[], runMs: number, signals: Signals): void {
  useTones(cues, runMs, signals.tones);
  const before = useRef({ cues, runMs });
  useEffect(() => {
    const due = before.current.cues.filter((cue) => cue.atMs > before.current.runMs && cue.atMs <= runMs);
    before.current = { cues, runMs };
    const last = due.at(-1);
    if (!last) return;
    if (signals.buzz && 'vibrate' in navigator) navigator.vibrate(buzzes[last.tone]);
    if (signals.voice) speak(last.words);
    performance.mark('cue', { detail: { tone: last.tone, lateMs: runMs - last.atMs } });
  });
}

/** A beat of ten a second, also out of sight. */
export function useBeat(onBeat: () => void): void {
  const latest = useRef(onBeat);
  useEffect(() => {
    latest.current = onBeat;
  });
  useEffect(() => {
    const beat = () => latest.current();
    const worker = typeof Worker === 'undefined' ? undefined : new Worker(new URL('./ticker.ts', import.meta.url), { type: 'module' });
    if (worker) worker.onmessage = beat;
    // Where a worker is forbidden the page's own timer does, a little slower out of sight.
    const timer = window.setInterval(beat, worker ? 1000 : 200);
    return () => {
      worker?.terminate();
      window.clearInterval(timer);
    };
  }, []);
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
