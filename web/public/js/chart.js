// Painting a chart with the keyboard: arrows move from cell to cell, a letter chooses its colour and paints the cell.
const MOVES = { ArrowLeft: [0, -1], ArrowRight: [0, 1], ArrowUp: [-1, 0], ArrowDown: [1, 0] };

const beside = (cell, [down, right]) => {
  const at = cell.id.match(/^(.*)-(\d+)-(\d+)$/);
  return document.getElementById(`${at[1]}-${Number(at[2]) + down}-${Number(at[3]) + right}`);
};

const chart = (root) => {
  root.addEventListener('keydown', (event) => {
    const cell = event.target.closest?.('.chart-cell');
    if (!cell || event.ctrlKey || event.metaKey || event.altKey) return;
    if (MOVES[event.key]) {
      event.preventDefault();
      beside(cell, MOVES[event.key])?.focus();
      return;
    }
    const colour = [...cell.form.querySelectorAll('input[name="letter"]')].find((one) => one.value === event.key.toUpperCase());
    if (!colour) return;
    event.preventDefault();
    event.stopPropagation();
    colour.checked = true;
    cell.click();
  }, true);
};

export { chart };
