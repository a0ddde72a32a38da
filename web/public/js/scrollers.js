// What is too wide for the window scrolls within itself; where nothing in it takes the focus, it takes it itself, so that the keys reach
// it.
const SCROLLERS = '.table-wrap, .sizes-wrap, .paper main';
const FOCUSABLE = 'a[href], button, input:not([type="hidden"]), select, textarea, summary, [tabindex]:not([tabindex="-1"])';

const heading = (part) => part.closest('section, details, main')?.querySelector('h1, h2, h3, summary');
const name = (part) => heading(part)?.textContent.trim().replace(/\s+/g, ' ').slice(0, 80);

const reach = (part) => {
  const needs = part.scrollWidth > part.clientWidth && ![...part.querySelectorAll(FOCUSABLE)].some((inside) => inside.checkVisibility());
  if (!needs) {
    if (part.dataset.scrolls) ['tabindex', 'role', 'aria-label', 'data-scrolls'].forEach((attribute) => part.removeAttribute(attribute));
    return;
  }
  part.dataset.scrolls = 'sideways';
  part.tabIndex = 0;
  if (part.matches('main')) return;
  part.setAttribute('role', 'group');
  part.setAttribute('aria-label', `${name(part) || 'Table'}, scrolls sideways`);
};

const scrollers = (root) => {
  const all = () => root.querySelectorAll(SCROLLERS).forEach(reach);
  all();
  addEventListener('resize', all);
  root.addEventListener('toggle', all, true);
  new MutationObserver(all).observe(root.body, { childList: true, subtree: true });
};

export { scrollers };
