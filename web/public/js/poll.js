// While something on the page is still being worked out, asks how far it is; follows where its result is shown.
import { ask, page } from './redraw.js';

const EVERY_MS = 400;
let waiting = null;

const look = () => {
  const waits = page()?.querySelector('[data-poll]');
  const next = page()?.querySelector('[data-go]');
  if (next) window.location.assign(next.dataset.go);
  clearTimeout(waiting);
  if (!waits) return;
  waiting = setTimeout(async () => {
    await ask(waits.dataset.poll);
    look();
  }, EVERY_MS);
};

const poll = (root) => {
  root.addEventListener('redrawn', look);
  look();
};

export { poll };
