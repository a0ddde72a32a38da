// Gestures on a pattern's items: choose, move along with arrows, count, and drag with mouse or finger.
// Each becomes one press of the tools' own buttons, so that the server does the work.
import { ask, page } from './redraw.js';
import { send } from './live_forms.js';

const FAR_ENOUGH = 6;
const TOOLS = {
  '+': 'more', '=': 'more', '-': 'fewer', Delete: 'remove', Backspace: 'remove', g: 'group', u: 'ungroup', f: 'fill', h: 'hang',
};

const tools = () => document.getElementById('chip-tools');
const current = () => page().querySelector('.chip[aria-current]');

const choose = async (chip) => {
  const size = document.getElementById('size');
  const address = `${window.location.pathname}?${new URLSearchParams({ at: chip.dataset.place, size: size ? size.value : '' })}`;
  await ask(address);
  window.history.replaceState(null, '', address);
  current()?.focus();
};

// While a change is under way its item may lose the focus; keys pressed then still mean that item.
let pressing = 0;

const press = async (name) => {
  pressing += 1;
  await send(tools(), tools().querySelector(`button[value="${name}"]`));
  pressing -= 1;
  current()?.focus();
};

const neighbour = (chip, by) => {
  const all = [...page().querySelectorAll('.chip')];
  return all[all.indexOf(chip) + by];
};

// What is drawn stands for the item that it was made of; pressed again, for the next item of the same part.
const itemOf = (shape) => {
  const alike = [...page().querySelectorAll('.chip[data-part]')].filter((chip) => chip.dataset.part === shape.dataset.part
    && chip.dataset.place.startsWith(`${shape.dataset.owner}.`));
  return alike[(alike.indexOf(current()) + 1) % alike.length];
};

const key = (event) => {
  const chip = event.target.closest?.('.chip') || (pressing && event.target === document.body && current());
  if (!chip || event.ctrlKey || event.metaKey || event.altKey) return;
  const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
  const tool = by ? (event.shiftKey && (by < 0 ? 'earlier' : 'later')) : TOOLS[event.key];
  if (!by && !tool) return;
  event.preventDefault();
  event.stopPropagation();
  if (tool) press(tool);
  else if (neighbour(chip, by)) choose(neighbour(chip, by));
};

// From the palette into the row, from one place of the row to another, or onto what is drawn.
const carry = async (from, to) => {
  const drawn = to.matches('.handle');
  const item = drawn ? itemOf(to) : to;
  if (!item || (drawn && !from.dataset.carry)) return;
  const form = tools();
  form.elements.at.value = from.dataset.place || item.dataset.drop;
  form.elements.to.value = item.dataset.drop;
  form.elements.part.value = from.dataset.carry || '';
  const button = document.createElement('button');
  button.name = 'do';
  button.value = drawn ? 'replace' : (from.dataset.carry && 'insert') || 'carry';
  await send(form, button);
};

const drag = (down) => {
  const from = down.target.closest('.chip[data-place], [data-carry]');
  if (!from || down.button > 0 || from.classList.contains('chip-start')) return;
  let moving = false;
  const under = (event) => document.elementFromPoint(event.clientX, event.clientY)?.closest('[data-drop], .handle');
  const move = (event) => {
    if (!moving && Math.hypot(event.clientX - down.clientX, event.clientY - down.clientY) < FAR_ENOUGH) return;
    moving = true;
    event.preventDefault();
    from.classList.add('carried');
    page().querySelectorAll('.target').forEach((chip) => chip.classList.remove('target'));
    under(event)?.classList.add('target');
  };
  const stop = (event) => {
    document.removeEventListener('pointermove', move);
    document.removeEventListener('pointerup', stop);
    document.removeEventListener('pointercancel', stop);
    from.classList.remove('carried');
    if (!moving) return;
    document.addEventListener('click', (click) => { click.preventDefault(); click.stopPropagation(); }, { capture: true, once: true });
    const to = event.type === 'pointerup' && under(event);
    if (to && to !== from) carry(from, to);
  };
  document.addEventListener('pointermove', move, { passive: false });
  document.addEventListener('pointerup', stop);
  document.addEventListener('pointercancel', stop);
};

const chips = (root) => {
  if (!tools()) return;
  root.addEventListener('keydown', key, true);
  root.addEventListener('pointerdown', drag);
  root.addEventListener('dragstart', (event) => event.preventDefault());
  root.addEventListener('click', (event) => {
    const shape = event.target.closest('.handle');
    const chip = shape ? itemOf(shape) : event.target.closest('.chip');
    if (!chip || event.metaKey || event.ctrlKey) return;
    event.preventDefault();
    choose(chip);
  });
};

export { chips };
