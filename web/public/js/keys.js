// The keyboard map. Keys rest while somebody types or a dialog is open.
import { step } from './seats.js';
import { open } from './sheets.js';

const SECTIONS = ['people', 'piece', 'fit', 'materials', 'cuts', 'cost', 'tools', 'steps', 'clock', 'print'];

const go = (id) => {
  const section = document.getElementById(id);
  if (!section) return;
  section.scrollIntoView();
  const target = section.querySelector('input:not([type="hidden"]), select, a, button, summary');
  target?.focus({ preventScroll: true });
};

const section = (key) => (/^[0-9]$/.test(key) ? SECTIONS[(Number(key) + 9) % 10] : undefined);

const MAP = {
  '?': () => open('keys'),
  '.': () => document.querySelector('[data-next]')?.click(),
  j: () => step(1),
  k: () => step(-1),
  b: () => go('bench'),
  z: () => document.querySelector('[data-undo]:not(:disabled)')?.click(),
  y: () => document.querySelector('[data-redo]:not(:disabled)')?.click(),
  h: () => window.location.assign('/'),
};

const busy = (target) => target.matches('input, select, textarea') || document.querySelector('dialog[open]');

const keys = (root) => {
  root.addEventListener('keydown', (event) => {
    if (event.ctrlKey || event.metaKey || event.altKey || busy(event.target)) return;
    const act = MAP[event.key] || (section(event.key) && document.querySelector('[data-keys="class"]') && (() => go(section(event.key))));
    if (!act) return;
    event.preventDefault();
    act();
  });
};

export { keys };
