// Narrows a list while someone types, from what the page already holds; the server answers the same question without a script.
const matches = (row, words, kind, low) => (!kind || row.dataset.kind === kind) && (!low || 'low' in row.dataset)
  && words.every((word) => row.dataset.words.includes(word));

const narrow = (form) => {
  const rows = [...document.querySelectorAll(`#${form.dataset.filter} tr[data-words]`)];
  const words = form.elements.find.value.toLowerCase().split(/\s+/).filter(Boolean);
  let shown = 0;
  rows.forEach((row) => {
    const hit = matches(row, words, form.elements.kind.value, form.elements.low.checked);
    row.hidden = !hit;
    shown += hit;
  });
  document.querySelectorAll(`#${form.dataset.filter} tbody`).forEach((group) => {
    group.hidden = !group.querySelector('tr[data-words]:not([hidden])');
  });
  document.getElementById('found').textContent = `${shown} ${shown === 1 ? 'thing' : 'things'}`;
};

// The palette of the composer, each kind with its heading.
const narrowPalette = () => {
  const field = document.getElementById('palette-find');
  if (!field) return;
  const words = field.value.toLowerCase().split(/\s+/).filter(Boolean);
  document.querySelectorAll('#palette-form .palette-part').forEach((part) => {
    const name = part.textContent.toLowerCase();
    part.hidden = !words.every((word) => name.includes(word));
  });
  document.querySelectorAll('#palette-form .palette-kind').forEach((kind) => {
    kind.hidden = !kind.querySelector('.palette-part:not([hidden])');
  });
};

const filter = (root) => {
  root.addEventListener('input', (event) => {
    const form = event.target.closest('form[data-filter]');
    if (form) narrow(form);
    if (event.target.id === 'palette-find') narrowPalette();
  });
  root.addEventListener('submit', (event) => {
    if (event.target.id === 'palette-search') event.preventDefault();
  });
  root.addEventListener('redrawn', narrowPalette);
};

export { filter };
