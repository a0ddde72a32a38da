// Links marked data-sheet open their dialog instead of a page.
const open = (name) => document.getElementById(`${name}-sheet`)?.showModal();

const sheets = (root) => {
  root.addEventListener('click', (event) => {
    const link = event.target.closest('[data-sheet]');
    if (!link) return;
    event.preventDefault();
    open(link.dataset.sheet);
  });
};

export { sheets, open };
