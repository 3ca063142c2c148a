import { at, phasesOf } from '../core/pace.js';

/** Hold ring, repetition count and rest of one item. */
export function connect(root) {
  const number = (name) => Number(root.dataset[name]);
  const phases = phasesOf({
    sides: number('sides'),
    sets: number('sets'),
    repetitions: number('repetitions'),
    parts: number('parts'),
    moveSeconds: number('move'),
    holdSeconds: number('hold'),
    restSeconds: number('rest'),
  });
  const [ring, seconds] = [root.querySelector('.gone'), root.querySelector('[data-seconds]')];
  const [cue, count, go, halt] = ['cue', 'count', 'go', 'halt'].map((name) =>
    root.querySelector(`[data-${name}]`),
  );
  let elapsed = 0;
  let since = null;
  let timer = null;

  const show = () => {
    const now = elapsed + (since === null ? 0 : (performance.now() - since) / 1000);
    const place = at(phases, now);
    if (place === null) {
      stop();
      elapsed = 0;
      cue.textContent = 'Done. Rest the hand open.';
      seconds.textContent = '';
      ring.setAttribute('stroke-dasharray', '100 0');
      go.textContent = 'Once more';
      root.dispatchEvent(new CustomEvent('pacer:done', { bubbles: true }));
      return;
    }
    const phase = phases[place.index];
    cue.textContent = phase.cue;
    seconds.textContent = String(place.left);
    ring.setAttribute('stroke-dasharray', `${(place.share * 100).toFixed(1)} 100`);
    const parts = [];
    if (number('sides') > 1) parts.push(phase.side === 1 ? 'first hand' : 'other hand');
    if (number('sets') > 1) parts.push(`set ${phase.set} of ${number('sets')}`);
    const inOneSet = number('repetitions') * number('parts');
    if (phase.repetition > 0 && inOneSet > 1) parts.push(`${phase.repetition} of ${inOneSet}`);
    count.textContent = parts.join(' · ');
  };
  const stop = () => {
    clearInterval(timer);
    if (since !== null) elapsed += (performance.now() - since) / 1000;
    since = null;
    go.hidden = false;
    halt.hidden = true;
    go.textContent = elapsed > 0 ? 'Go on' : 'Pace me';
  };
  go.addEventListener('click', () => {
    since = performance.now();
    go.hidden = true;
    halt.hidden = false;
    halt.focus();
    timer = setInterval(show, 200);
    show();
  });
  halt.addEventListener('click', () => {
    stop();
    go.focus();
  });
  root.addEventListener('pacer:stop', () => {
    if (since !== null) stop();
  });
  root.hidden = phases.length === 0;
}
