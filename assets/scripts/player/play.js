import { data, one } from '../core/dom.js';
import { Running } from '../core/running.js';
import { putAround } from './around.js';
import { Director } from './director.js';
import { Faces } from './faces.js';
import { HomeSitting } from '../home/sitting.js';
import { Keeper } from './keeper.js';
import { LedByWall } from './led.js';
import { onlyHere } from './only.js';
import { Post } from './post.js';
import { Guide } from './release/guide.js';
import { fetchAll } from './picture.js';
import { opened } from './score.js';
import { showSent } from './status.js';

const AGAIN_MS = 10000;
const SOON_MS = 1500;

/**
 * Plays a sitting from its score, and keeps what happens.
 * @param {HTMLElement} root
 */
export function connect(root) {
  const running = new Running();
  const says = one(root, '[data-opening]', HTMLElement);
  open(root, running, says).catch(() => {
    says.textContent =
      'This browser keeps nothing. Use the list of exercises, so that nothing is lost.';
  });
  return running.stop;
}

/**
 * So that it goes on without a network: the pages first, as they keep the pictures.
 * @param {import('./score.js').Item[]} items
 */
async function keepForLater(items) {
  await navigator.serviceWorker
    ?.register('/sw.js')
    .then(() => navigator.serviceWorker.ready)
    .catch(() => {}); // without it a reload wants a network
  await fetchAll(items);
}

/**
 * @param {HTMLElement} root
 * @param {Running} running
 * @param {HTMLElement} says
 */
async function open(root, running, says) {
  const sitting = location.pathname.split('/').pop() ?? '';
  const atHome = 'atHome' in root.dataset;
  const token = data(root, 'token');
  await onlyHere(sitting, running, () => {
    says.textContent =
      'This sitting is open in another tab. Go on there; or close that tab, and it goes on here.';
  });
  const keeper = await Keeper.open();
  const fresh = token === '' ? null : await opened(`/sittings/${sitting}/open`, token);
  if (fresh !== null) await keeper.keepSheet(sitting, fresh);
  const sheet = fresh ?? (await keeper.sheet(sitting));
  if (sheet === undefined) {
    says.textContent = 'There is no network, and this sitting is not kept here yet. Try again.';
    return;
  }
  putAround(root, sheet.page);
  const waits = one(root, '[data-waits]', HTMLElement);
  let unsent = 0;
  const late = running.resting(() => {
    waits.textContent = unsent === 0 ? '' : `${unsent} kept here, not sent yet`;
  }, SOON_MS);
  const post = new Post(keeper, data(root, 'events'), (waiting) => {
    unsent = waiting.length;
    if (unsent === 0) waits.textContent = '';
    else late.begin();
    showSent(root, unsent, post.refused.size);
  });
  const mine = { sitting, secret: sheet.secret, ...(sheet.from ? { from: sheet.from } : {}) };
  const alsoHere = atHome ? new HomeSitting(keeper, sitting, sheet) : null;
  const kept = (await keeper.waiting()).filter((one) => one.sitting === sitting);
  /** @type {import('./director.js').Director['act']} */
  const act = async (kind, item, body) => {
    await Promise.all([
      post.act(mine, { kind, item, body }),
      alsoHere?.heard(kind, item, body),
    ]).catch(() => {
      waits.textContent =
        'This could not be kept. Write it down, and free some room on this device.';
      waits.classList.add('halt');
    });
  };
  const faces = new Faces(root);
  const { release } = sheet.score;
  const leads = release
    ? new Guide(root, running, faces, { sheet, release, act })
    : new Director(root, running, faces, { sheet, act });
  leads.start(kept.map(({ told }) => told));
  if (leads instanceof Director) {
    if (sheet.score.led) new LedByWall(leads, running, sheet.score.led, sheet.secret);
    if (location.hash === '#wrong') leads.somethingIsWrong();
  }
  keepForLater(sheet.score.items);
  running.on(window, 'online', () => post.flush());
  running.every(() => post.flush(), AGAIN_MS);
  post.flush();
}
