const SET = 'wn.rings';

export type Rings = { sound: boolean; notification: boolean };

/** How this browser rings when a wait is over. */
export function rings(): Rings {
  return { sound: true, notification: false, ...JSON.parse(localStorage.getItem(SET) ?? '{}') };
}

export function setRings(next: Rings) {
  localStorage.setItem(SET, JSON.stringify(next));
}

/** Two soft tones; silent where the browser allows no sound yet. */
export function chime() {
  try {
    const audio = new AudioContext();
    for (const [n, hertz] of [660, 880].entries()) {
      const tone = audio.createOscillator();
      const volume = audio.createGain();
      tone.frequency.value = hertz;
      volume.gain.setValueAtTime(0.12, audio.currentTime + n * 0.25);
      volume.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + n * 0.25 + 0.4);
      tone.connect(volume).connect(audio.destination);
      tone.start(audio.currentTime + n * 0.25);
      tone.stop(audio.currentTime + n * 0.25 + 0.45);
    }
  } catch {
    // No sound device: the strip and the notification say it.
  }
}
