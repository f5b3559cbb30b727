// A tone that calls the baker, and a voice for whoever wants one.

type Stroke = { from: number; pitch: number };

// Strokes of a bell as a sound file made here, seconds long: nothing to fetch.
function struck(seconds: number, strokes: Stroke[]) {
  const rate = 22050;
  const length = Math.round(rate * seconds);
  const samples = new DataView(new ArrayBuffer(44 + length * 2));
  const text = (at: number, s: string) => [...s].forEach((c, i) => samples.setUint8(at + i, c.charCodeAt(0)));
  text(0, 'RIFF');
  samples.setUint32(4, samples.byteLength - 8, true);
  text(8, 'WAVEfmt ');
  samples.setUint32(16, 16, true);
  samples.setUint16(20, 1, true);
  samples.setUint16(22, 1, true);
  samples.setUint32(24, rate, true);
  samples.setUint32(28, rate * 2, true);
  samples.setUint16(32, 2, true);
  samples.setUint16(34, 16, true);
  text(36, 'data');
  samples.setUint32(40, samples.byteLength - 44, true);
  for (let i = 0; i < length; i++) {
    const loud = strokes.map(({ from, pitch }) => {
      const t = i / rate - from;
      return t < 0 ? 0 : Math.min(1, t * 80) * Math.exp(-t * 5) * Math.sin(2 * Math.PI * pitch * t);
    });
    samples.setInt16(44 + i * 2, 14000 * loud.reduce((a, b) => a + b, 0), true);
  }
  return new Audio(URL.createObjectURL(new Blob([samples], { type: 'audio/wav' })));
}

// Two strokes and a pause; it loops by itself, also in a sleeping tab.
function bell() {
  const sound = struck(2, [
    { from: 0, pitch: 659 },
    { from: 0.24, pitch: 880 },
  ]);
  sound.loop = true;
  return sound;
}

const tones = {
  taken: [
    { from: 0, pitch: 523 },
    { from: 0.12, pitch: 784 },
  ],
  refused: [{ from: 0, pitch: 220 }],
};
const made: Partial<Record<keyof typeof tones, HTMLAudioElement>> = {};

/** For hands that are not at the screen: high, it was taken; low, it was not. */
export function answer(how: keyof typeof tones) {
  const tone = (made[how] ??= struck(0.6, tones[how]));
  tone.currentTime = 0;
  tone.play().catch(() => undefined);
}

let sound: HTMLAudioElement | null = null;
let wanted = false;

/** Rings until hushed. Where the browser waits for a touch first, the first touch starts it. */
export function ring() {
  wanted = true;
  sound ??= bell();
  sound.play().catch(() => undefined);
}

export function hush() {
  wanted = false;
  sound?.pause();
}

/** Any touch or key lets a waiting bell ring. */
export function listenForTouch() {
  const touched = () => wanted && sound?.paused && ring();
  window.addEventListener('pointerdown', touched);
  window.addEventListener('keydown', touched);
}

export function speak(text: string) {
  if (!('speechSynthesis' in window)) return;
  window.speechSynthesis.cancel();
  window.speechSynthesis.speak(new SpeechSynthesisUtterance(text));
}
