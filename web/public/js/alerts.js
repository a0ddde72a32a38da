// A soft sign on this device, by sound or by vibration, for what was chosen here: each new thing that bears data-sign asks for one.
const STORE = 'eager-bench-signs';
const TONE_HZ = 660;
const TONE_SECONDS = 0.25;
const LOUDNESS = 0.15;
const SHAKE_MS = [120, 60, 120];

const chosen = () => JSON.parse(window.localStorage.getItem(STORE) || '[]');
const known = new Set();
let sound = null;

const play = () => {
  sound = sound || new AudioContext();
  const tone = sound.createOscillator();
  const volume = sound.createGain();
  tone.frequency.value = TONE_HZ;
  volume.gain.setValueAtTime(LOUDNESS, sound.currentTime);
  volume.gain.exponentialRampToValueAtTime(0.001, sound.currentTime + TONE_SECONDS);
  tone.connect(volume).connect(sound.destination);
  tone.start();
  tone.stop(sound.currentTime + TONE_SECONDS);
};

const give = () => {
  if (chosen().includes('sound')) play();
  if (chosen().includes('shake') && navigator.vibrate) navigator.vibrate(SHAKE_MS);
};

// What was there when the page came is no news.
const look = (root, news) => {
  const fresh = [...root.querySelectorAll('[data-sign]')].filter((one) => !known.has(one.dataset.signKey));
  fresh.forEach((one) => known.add(one.dataset.signKey));
  const asked = fresh.filter((one) => chosen().includes(one.dataset.sign));
  asked.forEach((one) => one.classList.add('is-fresh'));
  if (news && asked.length > 0) give();
};

const alerts = (root) => {
  const boxes = () => root.querySelectorAll('[data-sign-choice]');
  const show = () => boxes().forEach((box) => { box.checked = chosen().includes(box.value); });
  if (boxes().length === 0) return;
  root.addEventListener('change', (event) => {
    if (!event.target.matches('[data-sign-choice]')) return;
    window.localStorage.setItem(STORE, JSON.stringify([...boxes()].filter((box) => box.checked).map((box) => box.value)));
    if (event.target.checked) give();
  });
  show();
  look(root, false);
  new MutationObserver(() => { show(); look(root, true); }).observe(root.getElementById('main'), { childList: true, subtree: true });
};

export { alerts };
