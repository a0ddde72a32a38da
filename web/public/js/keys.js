// The keyboard map. Keys rest while someone types or a dialog is open.
import { step } from './seats.js';
import { open } from './sheets.js';

const place = (name) => document.querySelector(`a[data-place="${name}"]`)?.click();

const bench = () => document.getElementById('bench')?.scrollIntoView();

const press = (selector) => document.querySelector(`${selector}:not(:disabled)`)?.click();

const MAP = {
  '?': () => open('keys'),
  n: () => document.querySelector('[data-next]')?.click(),
  ']': () => step(1),
  '[': () => step(-1),
  b: bench,
  p: () => place('plan'),
  k: () => place('kits'),
  e: () => place('evening'),
  a: () => place('afterwards'),
  u: () => press('[data-undo]'),
  r: () => press('[data-redo]'),
  c: () => window.location.assign('/'),
};

const busy = (target) => target.matches('input, select, textarea') || document.querySelector('dialog[open]');

const keys = (root) => {
  root.addEventListener('keydown', (event) => {
    if (event.ctrlKey || event.metaKey || event.altKey || busy(event.target)) return;
    const act = MAP[event.key];
    if (!act) return;
    event.preventDefault();
    act();
  });
};

export { keys };
