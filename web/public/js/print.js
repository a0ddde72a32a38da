// The print page's one button.
document.querySelector('[data-print]').addEventListener('click', () => window.print());
