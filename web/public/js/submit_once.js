// A form is sent once: its buttons rest while it is under way. Taps of Live have names of their own and wait for nothing.
// What cannot be undone is asked about first.
// Ticks of lists that are only for oneself are kept in this browser.
const SENDING_MS = 8000;

const rest = (form) => {
  const buttons = [...form.querySelectorAll('button'), ...document.querySelectorAll(`button[form="${form.id}"]`)];
  setTimeout(() => buttons.forEach((button) => { button.disabled = true; }));
  setTimeout(() => buttons.forEach((button) => { button.disabled = false; }), SENDING_MS);
};

const ticks = (root) => {
  const key = (box) => `tick ${box.dataset.tick}`;
  const show = () => root.querySelectorAll('[data-tick]').forEach((box) => { box.checked = localStorage.getItem(key(box)) === '1'; });
  root.addEventListener('change', (event) => {
    if (!event.target.dataset.tick) return;
    if (event.target.checked) localStorage.setItem(key(event.target), '1');
    else localStorage.removeItem(key(event.target));
  });
  root.addEventListener('redrawn', show);
  show();
};

const submitOnce = (root) => {
  root.addEventListener('submit', (event) => {
    const form = event.target;
    const question = event.submitter?.dataset.confirm || form.dataset.confirm;
    if (question && !window.confirm(question)) {
      event.preventDefault();
      event.stopImmediatePropagation();
      return;
    }
    if (form.method === 'post' && !('live' in form.dataset) && !('tap' in form.dataset)) rest(form);
  }, true);
  ticks(root);
};

export { submitOnce };
