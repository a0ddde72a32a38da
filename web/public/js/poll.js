// While something on the page is still being worked out, asks how far it is; follows where its result is shown.
import { ask, page } from './redraw.js';

const FIRST_MS = 120;
const EVERY_MS = 400;
let waiting = null;

// The person chosen at the bench stays chosen.
const address = (waits) => {
  const asked = new URL(waits.dataset.poll, window.location.href);
  const seat = new URLSearchParams(window.location.search).get('seat');
  if (seat) asked.searchParams.set('seat', seat);
  return asked.pathname + asked.search;
};

const look = (after = EVERY_MS) => {
  const waits = page()?.querySelector('[data-poll]');
  const next = page()?.querySelector('[data-go]');
  if (next) window.location.assign(next.dataset.go);
  clearTimeout(waiting);
  if (!waits) return;
  waiting = setTimeout(async () => {
    const answer = await ask(address(waits), { headers: { 'X-Poll': '1' } });
    if (!answer.outdated) look();
  }, Number(waits.dataset.every) || after);
};

const poll = (root) => {
  root.addEventListener('redrawn', () => look(FIRST_MS));
  look(FIRST_MS);
};

export { poll };
