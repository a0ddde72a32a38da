// Fetches what a fold holds when it is opened, and again when the page has changed meanwhile.
const fetched = async (fold) => {
  const response = await fetch(fold.dataset.fetch, { headers: { 'X-Redraw': '1' } });
  if (!response.ok) return;
  const holder = fold.querySelector('[data-fetched]') || fold.appendChild(document.createElement('div'));
  holder.dataset.fetched = fold.dataset.fetch;
  holder.innerHTML = await response.text();
  fold.querySelector('[data-instead]')?.setAttribute('hidden', '');
};

const open = () => document.querySelectorAll('details[data-fetch][open]').forEach(fetched);

const folds = (root) => {
  // A toggle does not bubble.
  root.addEventListener('toggle', (event) => {
    if (event.target.matches?.('details[data-fetch]') && event.target.open) fetched(event.target);
  }, true);
  root.addEventListener('redrawn', open);
  open();
};

export { folds };
