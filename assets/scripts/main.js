// Connects what the page marks with data-behaviour="name" to the module of that name. A page without scripts still
// works.
import { connect as choose } from './behaviours/choose.js';
import { connect as counter } from './behaviours/counter.js';
import { connect as filters } from './behaviours/filters.js';
import { connect as flipbook } from './behaviours/flipbook.js';
import { connect as ink } from './behaviours/ink.js';
import { connect as live } from './behaviours/live.js';
import { connect as measure } from './behaviours/measure.js';
import { connect as pacer } from './behaviours/pacer.js';
import { connect as player } from './behaviours/player.js';
import { connect as pose } from './behaviours/pose.js';
import { connect as print } from './behaviours/print.js';
import { connect as shortcuts } from './behaviours/shortcuts.js';
import { connect as stopwatch } from './behaviours/stopwatch.js';
import { connect as tryDose } from './behaviours/try-dose.js';

const behaviours = {
  choose,
  counter,
  filters,
  flipbook,
  ink,
  live,
  measure,
  pacer,
  player,
  pose,
  print,
  shortcuts,
  stopwatch,
  'try-dose': tryDose,
};

function connectIn(root) {
  for (const element of root.querySelectorAll('[data-behaviour]')) {
    for (const name of element.dataset.behaviour.split(' ')) {
      behaviours[name]?.(element);
    }
  }
}

connectIn(document);
document.addEventListener('garden:added', (event) => connectIn(event.detail));
// Whoever drives the page from outside can see that keys and forms are alive.
document.documentElement.dataset.connected = '';
