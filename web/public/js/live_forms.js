// Forms marked data-live are sent when a field changes (data-live="submit": only when submitted),
// and the page is redrawn where it needs to be. Without scripts they are plain forms.
import { ask, page, say } from './redraw.js';

let line = Promise.resolve();

const body = (form) => {
  const data = new URLSearchParams(new FormData(form));
  const seat = page().querySelector('[data-seat][aria-current]');
  if (seat) data.set('seat', seat.dataset.seat);
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
    const answer = await ask(action, { method: 'POST', body: body(current) }, id);
    if (answer.conflict) return conflict(answer.conflict);
    const sheet = document.getElementById('conflict-sheet');
    if (sheet.open) sheet.close();
    if (answer.ok && 'clear' in current.dataset) {
      current.reset();
      document.getElementById(`${id}-name`)?.focus();
    }
    if (answer.ok) say('Saved');
    else document.querySelector('[aria-invalid="true"]')?.scrollIntoView({ block: 'nearest' });
    return null;
  });
};

const keepTheirs = async (event) => {
  event.preventDefault();
  document.getElementById('conflict-sheet').close();
  await ask(window.location.pathname + window.location.search);
};

const liveForms = (root) => {
  root.addEventListener('submit', (event) => {
    if (!event.target.matches('form[data-live]') || !page()) return;
    event.preventDefault();
    send(event.target, event.submitter);
  });
  root.addEventListener('change', (event) => {
    const form = event.target.form;
    if (form && form.dataset.live === '') send(form);
  });
  root.addEventListener('click', (event) => {
    if (event.target.closest('[data-keep-theirs]') && page()) keepTheirs(event);
  });
};

export { liveForms };
