// A page for paper: one button, and what is too wide for the window can be reached.
import { scrollers } from './scrollers.js';

document.querySelector('[data-print]').addEventListener('click', () => window.print());
scrollers(document);
