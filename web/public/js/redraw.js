// Asks the server for the sections that changed and puts them in place, keeping focus, scroll and what is half typed.
import { Idiomorph } from '../vendor/idiomorph.esm.js';

const page = () => document.querySelector('[data-page]');

const known = () => [...page().querySelectorAll('section[data-digest]')].map((s) => `${s.id}=${s.dataset.digest}`).join(',');

const say = (text) => {
  const said = document.getElementById('said');
  said.textContent = text;
  clearTimeout(said.timer);
  said.timer = setTimeout(() => { said.textContent = ''; }, 6000);
};

// What was typed in a form that is sent by its button, and is not sent yet, stays typed.
const typed = (field) => {
  if (field.matches('select')) return field.selectedIndex !== Math.max(0, [...field.options].findIndex((option) => option.defaultSelected));
  if (field.matches('[type="checkbox"], [type="radio"]')) return field.checked !== field.defaultChecked;
  return field.matches('input:not([type="hidden"]), textarea') && field.value !== field.defaultValue;
};
const halfTyped = (node, sentForm) => node.form && !(sentForm && node.form.id === sentForm)
  && !node.form.matches('[data-live=""], [data-live="look"]') && typed(node);

// A row that was refused keeps what was typed in it until it is sent again; what was opened stays open.
const keepDrafts = (sentForm) => ({
  beforeAttributeUpdated: (name, node) => !(name === 'open' && node instanceof HTMLDetailsElement),
  // What a fold fetched is fetched again when all is in place.
  beforeNodeRemoved: (node) => !(node instanceof Element && node.matches('[data-fetched]')),
  beforeNodeMorphed: (old) => !(old instanceof Element && (halfTyped(old, sentForm)
    || (old.matches('[data-draft]') && old.id !== sentForm && !(sentForm && old.querySelector(`#${sentForm}`))))),
});

// Only a field has a value to keep; anything else that has the focus is redrawn like the rest.
const inField = () => Boolean(document.activeElement?.matches('input, textarea, select'));

const place = (html, sentForm) => {
  const holder = document.createElement('template');
  holder.innerHTML = html;
  holder.content.querySelectorAll('section[data-digest]').forEach((fresh) => {
    const old = document.getElementById(fresh.id);
    if (old) Idiomorph.morph(old, fresh, { ignoreActiveValue: inField(), restoreFocus: true, callbacks: keepDrafts(sentForm) });
  });
};

// Counts what was asked for by someone; an answer to a mere look at how far something is gives way to it.
let asked = 0;
let answering = 0;

const ask = async (address, options = {}, sentForm = null) => {
  const looking = Boolean(options.headers?.['X-Poll']);
  if (looking && answering) return { ok: false };
  if (!looking) {
    asked += 1;
    answering += 1;
  }
  const mine = asked;
  page().setAttribute('aria-busy', 'true');
  try {
    const response = await fetch(address, { ...options, headers: { 'X-Redraw': '1', 'X-Sections': known(), ...options.headers } });
    if (response.status === 204) return { outdated: true };
    const html = await response.text();
    if (looking && mine !== asked) return { ok: false };
    if (response.status === 409) return { conflict: html };
    if (response.ok || response.status === 422) {
      place(html, sentForm);
      return { ok: response.ok };
    }
    if (response.status >= 500 && options.keeps) return { ok: false, unreachable: true };
    say('That could not be saved. Reload the page and try again; what you typed is still in the field.');
  } catch {
    if (!looking && !options.keeps) say('The studio does not answer. What you typed is still here; try again when it runs.');
    return { ok: false, unreachable: true };
  } finally {
    if (!looking) answering -= 1;
    page().removeAttribute('aria-busy');
  }
  return { ok: false };
};

export { ask, say, page };
