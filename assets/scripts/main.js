// Connects what the page marks with data-behaviour="name" to the module of that name. A page without scripts still
// works.
import { connect as choose } from './behaviours/choose.js';
import { connect as classRun } from './behaviours/class-run.js';
import { connect as counter } from './behaviours/counter.js';
import { connect as filters } from './behaviours/filters.js';
import { connect as flipbook } from './behaviours/flipbook.js';
import { connect as hides } from './behaviours/hides.js';
import { connect as ink } from './behaviours/ink/connect.js';
import { connect as lettingIn } from './behaviours/letting-in.js';
import { connect as live } from './behaviours/live/connect.js';
import { connect as measure } from './behaviours/measure/connect.js';
import { connect as oldLines } from './behaviours/old-lines.js';
import { connect as pose } from './behaviours/pose.js';
import { connect as print } from './behaviours/print.js';
import { connect as rows } from './behaviours/rows.js';
import { connect as shortcuts } from './behaviours/shortcuts.js';
import { connect as stopwatch } from './behaviours/stopwatch.js';
import { connect as tryDose } from './behaviours/try-dose.js';
import { connect as waiting } from './behaviours/waiting.js';

/** @type {Record<string, (element: any) => () => void>} each says how to stop it */
const behaviours = {
  choose,
  'class-run': classRun,
  counter,
  filters,
  flipbook,
  hides,
  ink,
  'letting-in': lettingIn,
  live,
  measure,
  'old-lines': oldLines,
  pose,
  print,
  rows,
  shortcuts,
  stopwatch,
  'try-dose': tryDose,
  waiting,
};

/** @type {Map<Element, (() => void)[]>} */
const running = new Map();

/** @param {ParentNode} root */
function connectIn(root) {
  for (const element of root.querySelectorAll('[data-behaviour]')) {
    const names = element.getAttribute('data-behaviour') ?? '';
    running.set(
      element,
      names.split(' ').flatMap((name) => behaviours[name]?.(element) ?? []),
    );
  }
}

/** What is taken out of the page stops. */
function stopRemoved() {
  for (const [element, stops] of running) {
    if (!element.isConnected) {
      stops.forEach((stop) => stop());
      running.delete(element);
    }
  }
}

connectIn(document);
document.addEventListener('garden:added', (event) => {
  stopRemoved();
  if (event instanceof CustomEvent) connectIn(event.detail);
});
// Whoever drives the page from outside can see that keys and forms are alive.
document.documentElement.dataset.connected = '';
