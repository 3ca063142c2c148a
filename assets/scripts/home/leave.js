import { one } from '../core/dom.js';

/**
 * This device opens nothing more: says whom to call, hands in what is kept, and erases it.
 * @param {import('./home.js').Home} home
 * @param {string} why
 */
export async function leave(home, why) {
  if (why === 'unknown' && home.day === null) {
    home.faces.show('none');
    return;
  }
  const phone = home.day?.clinic.phone ?? '';
  one(home.root, '[data-phone]', HTMLAnchorElement).href = `tel:${phone}`;
  home.faces.put('out', { 'phone-number': phone === '' ? 'your clinic' : phone });
  home.running.stop();
  const isAll = await home.sync.leave();
  home.faces.put('out', {
    kept: isAll
      ? 'What was kept here has been handed in, and is erased.'
      : 'Some things are still kept here. Open this page once more with a network.',
  });
  home.faces.show('out');
}
