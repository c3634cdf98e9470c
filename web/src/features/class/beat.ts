/** Beats are laid out so far ahead: a busy page does not make one late. */
const AHEAD_S = 0.4;
/** How often more of them are laid out. */
const EACH_MS = 100;
const CLICK_S = 0.03;

/**
 * The next beats of a steady beat that are due before `until`: the nth is at `start` + n × `period`, so that no error
 * adds up.
 */
export function beatsUntil(start: number, period: number, next: number, until: number): number[] {
  const due: number[] = [];
  for (let n = next; start + n * period < until; n++) due.push(start + n * period);
  return due;
}

/** A beat that goes on until it is stopped. */
export interface Beating {
  stop: () => void;
}

/** Begins a beat, by the clock of the sound device; `onBeat` comes with each one, for the eye. */
export function beat(perMinute: number, onBeat: (n: number) => void): Beating {
  const sound = new AudioContext();
  const period = 60 / perMinute;
  const start = sound.currentTime + 0.1;
  let next = 0;
  const flashes = new Set<ReturnType<typeof setTimeout>>();
  const layOut = () => {
    // A tab that slept lays out no beats that are over.
    next = Math.max(next, Math.ceil((sound.currentTime - start) / period));
    for (const at of beatsUntil(start, period, next, sound.currentTime + AHEAD_S)) {
      const n = next++;
      click(sound, at);
      const timer = setTimeout(
        () => {
          flashes.delete(timer);
          onBeat(n);
        },
        Math.max(0, (at - sound.currentTime) * 1000),
      );
      flashes.add(timer);
    }
  };
  layOut();
  const timer = setInterval(layOut, EACH_MS);
  return {
    stop: () => {
      clearInterval(timer);
      flashes.forEach(clearTimeout);
      void sound.close();
    },
  };
}

/** A short knock, as of a blade on wood. */
function click(sound: AudioContext, at: number) {
  const tone = sound.createOscillator();
  const loud = sound.createGain();
  tone.type = 'triangle';
  tone.frequency.value = 520;
  loud.gain.setValueAtTime(0.5, at);
  loud.gain.exponentialRampToValueAtTime(0.001, at + CLICK_S);
  tone.connect(loud).connect(sound.destination);
  tone.start(at);
  tone.stop(at + CLICK_S);
}
