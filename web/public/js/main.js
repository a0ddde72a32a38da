// Wires the behaviours to the page. Each lives in a module of its own.
import { liveForms } from './live_forms.js';
import { seats } from './seats.js';
import { sheets } from './sheets.js';
import { chips } from './chips.js';
import { poll } from './poll.js';
import { keys } from './keys.js';
import { anchors } from './anchors.js';
import { filter } from './filter.js';
import { guards } from './guards.js';
import { taps } from './taps.js';
import { chart } from './chart.js';
import { scrollers } from './scrollers.js';
import { signs } from './signs.js';

document.documentElement.classList.add('scripted');
guards(document);
liveForms(document);
seats(document);
sheets(document);
chips(document);
keys(document);
poll(document);
anchors();
filter(document);
taps(document);
chart(document);
scrollers(document);
signs(document);
