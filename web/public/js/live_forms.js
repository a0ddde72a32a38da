// Forms marked data-live are sent when a field changes (data-live="submit": only when submitted; data-live="look":
// while a slider moves, without saving), and the page is redrawn where it needs to be. Without scripts they are plain forms.
import { ask, page, say } from './redraw.js';

let line = Promise.resolve();
let looking = null;

const body = (form, button) => {
  const data = new URLSearchParams(new FormData(form));
  if (button?.name) data.set(button.name, button.value);
  const seat = page().querySelector('.place[data-seat][aria-current]');
  if (seat) data.set('seat', seat.dataset.seat);
  const size = document.getElementById('size');
  if (size) data.set('size', size.value);
  const place = page().querySelector('.places-nav a[aria-current]');
  if (place && !data.has('place')) data.set('place', place.dataset.place);
  return data;
};

const conflict = (html) => {
  const sheet = document.getElementById('conflict-sheet');
  sheet.innerHTML = html;
  sheet.showModal();
};

const send = (form, button = null) => {
  const action = button?.getAttribute('formaction') || form.getAttribute('action');
  const id = form.id;
  line = line.then(async () => {
    const current = (id && document.getElementById(id)) || form;
    const answer = await ask(action, { method: 'POST', body: body(current, button) }, id);
    if (answer.conflict) return conflict(answer.conflict);
    const sheet = document.getElementById('conflict-sheet');
    if (sheet.open) sheet.close();
    if (answer.ok && 'clear' in current.dataset) {
      current.reset();
      document.getElementById(`${id}-name`)?.focus();
    }
    if (answer.ok) say('Saved');
    else document.querySelector('[aria-invalid="true"]')?.scrollIntoView({ block: 'nearest' });
    document.dispatchEvent(new CustomEvent('redrawn'));
    return null;
  });
  return line;
};

// Only the newest position of a slider matters: while one is asked for, later ones replace each other.
const look = (form) => {
  const busy = looking !== null;
  looking = `${form.getAttribute('action')}?${new URLSearchParams(new FormData(form))}`;
  if (busy) return;
  const next = async () => {
    const address = looking;
    await ask(address);
    window.history.replaceState(null, '', address);
    if (looking !== address) return next();
    looking = null;
    return null;
  };
  next();
};

const keepTheirs = async (event) => {
  event.preventDefault();
  document.getElementById('conflict-sheet').close();
  await ask(window.location.pathname + window.location.search);
};

const fill = (select) => {
  const field = document.getElementById(select.dataset.fills);
  if (!select.value) return;
  field.value = select.value;
  look(field.form);
};

const liveForms = (root) => {
  root.addEventListener('submit', (event) => {
    if (!event.target.matches('form[data-live]') || !page()) return;
    event.preventDefault();
    event.target.querySelectorAll('[data-typed]').forEach((field) => delete field.dataset.typed);
    if (event.target.dataset.live === 'look') look(event.target);
    else send(event.target, event.submitter);
  });
  // A date changes with each figure that is typed: it is sent when the field is left, or by Enter.
  root.addEventListener('focusout', (event) => {
    const field = event.target;
    if (field.type === 'date' && 'typed' in field.dataset && field.form?.dataset.live === '') send(field.form);
    if (field.dataset) delete field.dataset.typed;
  });
  root.addEventListener('change', (event) => {
    if (event.target.dataset.fills) fill(event.target);
    else if (event.target.type === 'date') event.target.dataset.typed = '';
    else if (event.target.form?.dataset.live === '') send(event.target.form);
    else if (event.target.form?.dataset.live === 'look' && event.target.type !== 'range') look(event.target.form);
  });
  root.addEventListener('input', (event) => {
    if (event.target.type === 'range' && event.target.form?.dataset.live === 'look') look(event.target.form);
  });
  root.addEventListener('click', (event) => {
    if (event.target.closest('[data-keep-theirs]') && page()) keepTheirs(event);
  });
};

export { liveForms, send };
