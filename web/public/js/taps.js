// Taps of a class under way. Each has a name of its own and a time; without a connection they wait on the device and are sent in their
// order. What a tap moves is moved at once, by the names of the steps that came with the page.
import { ask } from './redraw.js';

const PREFIX = 'eager-bench-tap:';
const AGAIN_MS = 1000;
const LONG_PRESS_MS = 600;
const REST_MS = 1500;

// Each tap is kept by itself, the oldest first by name: two windows of one device never overwrite each other's.
const waiting = () => Object.keys(window.localStorage).filter((name) => name.startsWith(PREFIX)).sort()
  .map((name) => ({ name, tap: JSON.parse(window.localStorage.getItem(name)) })).filter(({ tap }) => tap);
const keep = (tap) => {
  const name = `${PREFIX}${Date.now().toString().padStart(15, '0')}-${tap.fields.key}`;
  window.localStorage.setItem(name, JSON.stringify(tap));
};
const forget = (name) => window.localStorage.removeItem(name);

let sending = false;

const offline = (shown) => {
  const note = document.getElementById('live-offline');
  if (!note) return;
  note.hidden = !shown;
  const number = waiting().length;
  note.querySelector('[data-waiting]').textContent = number === 1 ? '1 tap' : `${number} taps`;
};

// A step on or back, as the server will say it too.
const MOVES = { next: 1, back: -1 };

const move = (fields) => {
  const card = document.querySelector(`[data-person="${CSS.escape(fields.person || '')}"]`);
  const by = MOVES[fields.kind];
  if (!card || !by) return;
  // A card that was not redrawn has moved already.
  const moved = (card.dataset.moved || '').split(' ');
  if (moved.includes(fields.key)) return;
  card.dataset.moved = [...moved, fields.key].join(' ');
  const steps = card.dataset.steps.split(',');
  const place = Math.min(steps.length, Math.max(0, Number(card.dataset.place) + by));
  const names = JSON.parse(card.closest('[data-names]').dataset.names);
  card.dataset.place = place;
  card.classList.add('is-waiting');
  const told = {
    '[data-live-number]': Math.min(place + 1, steps.length),
    '[data-live-step]': names[steps[place]] || 'Done',
    '[data-live-minutes]': 'now',
  };
  Object.entries(told).forEach(([where, words]) => {
    const node = card.querySelector(where);
    if (node) node.textContent = words;
  });
};

// What came from the server does not know of taps that still wait, unless it says so.
const moveAgain = () => {
  const taken = (document.querySelector('[data-taken]')?.dataset.taken || '').split(' ');
  waiting().filter(({ tap }) => !taken.includes(tap.fields.key)).forEach(({ tap }) => move(tap.fields));
};

const send = async () => {
  if (sending) return;
  sending = true;
  try {
    for (let taps = waiting(); taps.length > 0; taps = waiting()) {
      const [{ name, tap }] = taps;
      const body = new URLSearchParams(tap.fields);
      const token = document.querySelector('input[name="authenticity_token"]');
      if (token) body.set('authenticity_token', token.value);
      // A server that is just starting, or fails, gets the tap again.
      const answer = await ask(tap.address, { method: 'POST', body, keeps: true });
      if (answer.unreachable) {
        offline(true);
        setTimeout(send, AGAIN_MS);
        return;
      }
      forget(name);
      offline(false);
      moveAgain();
      document.dispatchEvent(new CustomEvent('redrawn'));
    }
  } finally {
    sending = false;
  }
};

// A long press on “Next” is “Back”.
const longPress = (root) => {
  let timer = null;
  let pressed = false;
  const end = () => clearTimeout(timer);
  root.addEventListener('pointerdown', (event) => {
    const back = event.target.closest('[data-long-press]')?.closest('.live-card')?.querySelector('[data-back]');
    pressed = false;
    if (!back) return;
    timer = setTimeout(() => {
      pressed = true;
      back.closest('form').requestSubmit();
    }, LONG_PRESS_MS);
  });
  ['pointerup', 'pointercancel', 'pointerleave'].forEach((name) => root.addEventListener(name, end));
  root.addEventListener('click', (event) => {
    if (!pressed || !event.target.closest('[data-long-press]')) return;
    event.preventDefault();
    pressed = false;
  }, true);
};

// Each tap has a name of its own: a form that is tapped again before the server answered needs another.
const nameAgain = (form) => {
  const key = form.querySelector('input[name="key"]');
  if (key) key.value = [...crypto.getRandomValues(new Uint8Array(12))].map((byte) => byte.toString(16).padStart(2, '0')).join('');
};

// What moves no card shows by its button that it was tapped.
const rest = (form) => {
  const buttons = [...form.querySelectorAll('button')];
  buttons.forEach((button) => { button.disabled = true; });
  setTimeout(() => buttons.forEach((button) => { button.disabled = false; }), REST_MS);
};

const taps = (root) => {
  longPress(root);
  root.addEventListener('submit', (event) => {
    const form = event.target.closest('form[data-tap]');
    if (!form) return;
    event.preventDefault();
    const fields = Object.fromEntries(new FormData(form));
    if (event.submitter?.name) fields[event.submitter.name] = event.submitter.value;
    delete fields.authenticity_token;
    fields.at = Math.floor(Date.now() / 1000).toString();
    keep({ address: form.getAttribute('action'), fields });
    form.reset();
    nameAgain(form);
    if (MOVES[fields.kind]) move(fields);
    else rest(form);
    send();
  });
  document.addEventListener('redrawn', moveAgain);
  window.addEventListener('online', send);
  moveAgain();
  send();
};

export { taps };
