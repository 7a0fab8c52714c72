// Tones and vibration of the clocks. Each can be muted, and each clock works without.

const muted = (kind) => localStorage.getItem("yarbel-mute-" + kind) === "1";

let audio = null;
function tone(frequency, milliseconds) {
  if (muted("sound")) {
    return;
  }
  try {
    audio ??= new AudioContext();
    audio.resume();
    const voice = audio.createOscillator();
    const volume = audio.createGain();
    voice.frequency.value = frequency;
    volume.gain.value = 0.25;
    voice.connect(volume).connect(audio.destination);
    voice.start();
    voice.stop(audio.currentTime + milliseconds / 1000);
  } catch {
    // a phone without sound still has its face and its vibration
  }
}

function buzz(pattern) {
  if (!muted("vibration")) {
    navigator.vibrate?.(pattern);
  }
}

window.yarbelSignals = { muted, tone, buzz };
