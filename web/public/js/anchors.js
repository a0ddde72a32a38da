// Opens what an address leads to: a folded part of this page, or a section that stands in another place of the class.
const seek = () => {
  const name = decodeURIComponent(window.location.hash.slice(1));
  if (!name) return;
  const here = document.getElementById(name);
  if (here) {
    here.closest('details')?.setAttribute('open', '');
    here.querySelector(':scope > details.fold')?.setAttribute('open', '');
    here.scrollIntoView();
    return;
  }
  const elsewhere = [...document.querySelectorAll('a[data-holds]')].find((link) => link.dataset.holds.split(' ').includes(name));
  if (elsewhere && !elsewhere.hasAttribute('aria-current')) window.location.replace(`${elsewhere.getAttribute('href')}#${name}`);
};

const anchors = () => {
  window.addEventListener('hashchange', seek);
  seek();
};

export { anchors };
