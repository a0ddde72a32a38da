// Choosing a place at the bench redraws what shows that person, and keeps the address in step.
import { ask, page } from './redraw.js';

const choose = async (link) => {
  const address = `?${new URLSearchParams({ seat: link.dataset.seat })}`;
  await ask(window.location.pathname + address);
  window.history.replaceState(null, '', address + window.location.hash);
  page().querySelector(`.place[data-seat="${link.dataset.seat}"]`)?.focus({ preventScroll: true });
};

const step = (by) => {
  const links = [...document.querySelectorAll('.place[data-seat]')];
  const now = links.findIndex((link) => link.hasAttribute('aria-current'));
  const next = links[(now + by + links.length) % links.length];
  if (next) choose(next);
};

const seats = (root) => {
  root.addEventListener('click', (event) => {
    const link = event.target.closest('a[data-seat]');
    if (!link || event.metaKey || event.ctrlKey || !page()) return;
    event.preventDefault();
    choose(link);
  });
};

export { seats, step };
