// Taps of a class under way. Each has a name of its own and a time; without a connection they wait on the device and are sent in their
// order.
import { ask } from './redraw.js';

const STORE = 'eager-bench-taps';
const AGAIN_MS = 3000;
const LONG_PRESS_MS = 600;

const waiting = () => JSON.parse(window.localStorage.getItem(STORE) || '[]');
const keep = (taps) => window.localStorage.setItem(STORE, JSON.stringify(taps));

let sending = false;

const offline = (shown) => {
  const note = document.getElementById('live-offline');
  if (note) note.hidden = !shown;
};

const send = async () => {
  if (sending) return;
  sending = true;
  try {
    for (let taps = waiting(); taps.length > 0; taps = waiting()) {
      const [tap] = taps;
      const body = new URLSearchParams(tap.fields);
      const token = document.querySelector('input[name="authenticity_token"]');
      if (token) body.set('authenticity_token', token.value);
      const answer = await ask(tap.address, { method: 'POST', body });
      if (answer.unreachable) {
        offline(true);
        setTimeout(send, AGAIN_MS);
        return;
      }
      keep(waiting().slice(1));
      offline(false);
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
    const back = event.target.closest('[data-long-press]')?.closest('.live-taps')?.querySelector('[data-back]');
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

const taps = (root) => {
  longPress(root);
  root.addEventListener('submit', (event) => {
    const form = event.target.closest('form[data-tap]');
    if (!form) return;
    event.preventDefault();
    const fields = Object.fromEntries(new FormData(form));
    delete fields.authenticity_token;
    fields.at = Math.floor(Date.now() / 1000).toString();
    keep([...waiting(), { address: form.getAttribute('action'), fields }]);
    form.reset();
    form.querySelector('button').disabled = true;
    send();
  });
  send();
};

export { taps };
