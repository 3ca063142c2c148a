import { around } from './dom.js';

const OFF = 'garden-keys-off';
const TYPING = 'input, select, textarea, dialog, [contenteditable]';

/**
 * Whether a press is for somebody else: who types, or the browser.
 * @param {KeyboardEvent} event
 */
export const isElsewhere = (event) =>
  around(event, TYPING, Element) !== null || event.ctrlKey || event.altKey || event.metaKey;

/** Single letters can be switched off on a device. */
export const areOff = () => localStorage.getItem(OFF) === '1';

/** @param {boolean} off */
export const switchOff = (off) => localStorage.setItem(OFF, off ? '1' : '0');
