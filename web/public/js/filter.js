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

const filter = (root) => {
  root.addEventListener('input', (event) => {
    const form = event.target.closest('form[data-filter]');
    if (form) narrow(form);
  });
};

export { filter };
