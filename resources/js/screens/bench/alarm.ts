// Tells that a countdown has run out: heard, and felt where the device can.

const TONES = [880, 1175, 880];
const TONE_S = 0.18;

let audio: AudioContext | null = null;

/** Browsers let a page sound only once somebody has touched it. */
export function readySound(): void {
    try {
        audio ??= new AudioContext();
        void audio.resume();
    } catch {
        // A device without sound.
    }
}

export function sound(): void {
    navigator.vibrate?.([300, 120, 300, 120, 300]);
    if (!audio || audio.state !== 'running') return;
    const from = audio.currentTime;
    TONES.forEach((hertz, i) => {
        const tone = new OscillatorNode(audio!, { type: 'square', frequency: hertz });
        const loud = new GainNode(audio!, { gain: 0.25 });
        tone.connect(loud).connect(audio!.destination);
        tone.start(from + i * 1.4 * TONE_S);
        tone.stop(from + (i * 1.4 + 1) * TONE_S);
    });
}
