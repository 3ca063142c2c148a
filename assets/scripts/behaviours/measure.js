/**
 * The measuring form: figures from the core as you type, last values to copy, keys that answer and go on. Every
 * change goes
 * to the server as a draft, one request at a time, so that a closed tab loses nothing.
 * @param {HTMLFormElement} form carries data-figures, the address that computes and keeps the draft
 */
import { hang } from '../core/drawing.js';

export function connect(form) {
  const fields = [...form.querySelectorAll('[data-field]')];
  const send = sender(form, (answer) => show(form, fields, answer));
  const history = undoStack(form, fields, send);

  form.addEventListener('input', send);
  form.addEventListener('change', send);
  form.addEventListener('keydown', (event) => {
    const field = event.target.closest('[data-field]');
    if (!field || event.ctrlKey || event.metaKey || event.altKey) {
      return;
    }
    const act = actionOf(event.key, field);
    if (act) {
      event.preventDefault();
      act();
    }
  });

  function actionOf(key, field) {
    if (key === 'Enter') {
      return () => go(field);
    }
    if (field.matches('.yesno')) {
      const answer = { y: 'yes', n: 'no' }[key.toLowerCase()];
      return (
        answer &&
        (() => {
          field.querySelector(`input[value="${answer}"]`).checked = true;
          send();
          go(field);
        })
      );
    }
    if (field.tagName !== 'INPUT' || (key !== '=' && field.value !== '')) {
      return null;
    }
    if (key === '=' && field.dataset.last) {
      return () => {
        set(field, field.dataset.last);
        go(field);
      };
    }
    if (key === 'u') {
      return () => {
        set(field, 'usual');
        go(field);
      };
    }
    if (key === 'U') {
      return () => {
        const part = fingerOf(field);
        history.fill(
          fields.filter(
            (other) => other.tagName === 'INPUT' && other.value === '' && fingerOf(other) === part,
          ),
          () => 'usual',
        );
        go(fields.filter((other) => fingerOf(other) === part).pop() ?? field);
      };
    }
    return null;
  }

  const order = inTakingOrder(fields);

  /** The next field as it is taken: down one hand and mode of a table, then the next column, then the next table. */
  function go(field) {
    const rest = order.slice(order.indexOf(field) + 1);
    focus(rest.find((other) => other.offsetParent !== null) ?? form.querySelector('.btn-act'));
  }

  for (const link of form.querySelectorAll('.hand-map a')) {
    link.addEventListener('click', (event) => {
      const field = document.getElementById(decodeURIComponent(link.getAttribute('href').slice(1)));
      if (field) {
        event.preventDefault();
        focus(field);
      }
    });
  }
  form.addEventListener('focusin', (event) => markJoint(form, event.target));

  // A page that comes back from the history is older than what was kept since: it is fetched anew, with the draft.
  window.addEventListener('pageshow', (event) => {
    if (event.persisted) location.reload();
  });

  const fill = form.querySelector('[data-fill]');
  fill.hidden = false;
  for (const button of fill.querySelectorAll('[data-copy-side]')) {
    button.addEventListener('click', () =>
      history.fill(
        fields.filter(
          (f) => f.dataset.side === button.dataset.copySide && f.value === '' && f.dataset.last,
        ),
        (f) => f.dataset.last,
      ),
    );
  }
  for (const button of fill.querySelectorAll('[data-usual-side]')) {
    button.addEventListener('click', () =>
      history.fill(
        fields.filter(
          (f) =>
            f.dataset.side === button.dataset.usualSide &&
            f.value === '' &&
            f.name.includes(':active:'),
        ),
        () => 'usual',
      ),
    );
  }
}

/** Sends the form when typing rests; while a request is on its way the next one waits, so that the last word stands. */
function sender(form, onAnswer) {
  let waiting = null;
  let busy = false;
  let again = false;
  const said = form.querySelector('[data-kept]');
  const run = async () => {
    if (busy) {
      again = true;
      return;
    }
    busy = true;
    try {
      const data = new FormData(form);
      data.set('look', document.activeElement?.dataset?.side ?? '');
      for (const name of new Set(
        [...form.querySelectorAll('.yesno input')].map((input) => input.name),
      )) {
        if (!data.has(name)) {
          data.set(name, '');
        }
      }
      const response = await fetch(form.dataset.figures, {
        method: 'POST',
        body: data,
        headers: { Accept: 'application/json' },
      });
      if (response.ok) {
        onAnswer(await response.json());
      } else {
        said.textContent = 'The server did not take it; what you typed is still on this page.';
      }
    } catch {
      said.textContent = 'No network: what you typed is still on this page.';
    }
    busy = false;
    if (again) {
      again = false;
      run();
    }
  };
  form.addEventListener('submit', () => {
    clearTimeout(waiting);
    busy = true; // what is typed goes with the form itself
  });
  return () => {
    clearTimeout(waiting);
    waiting = setTimeout(run, 120);
  };
}

/** Fills many fields at once, and takes that back. */
function undoStack(form, fields, send) {
  const done = [];
  const button = form.querySelector('[data-undo]');
  button.addEventListener('click', () => {
    for (const [field, before] of done.pop() ?? []) {
      field.value = before;
    }
    button.disabled = done.length === 0;
    send();
  });
  return {
    fill(targets, valueOf) {
      if (targets.length === 0) {
        return;
      }
      done.push(targets.map((field) => [field, field.value]));
      for (const field of targets) {
        field.value = valueOf(field);
      }
      button.disabled = false;
      send();
    },
  };
}

function set(field, value) {
  field.value = value;
  field.dispatchEvent(new Event('input', { bubbles: true }));
}

function focus(target) {
  const field = target.matches?.('.yesno')
    ? (target.querySelector('input:checked') ?? target.querySelector('input'))
    : target;
  field.focus();
  field.select?.();
}

const partsOf = (field) =>
  (field.name ?? field.querySelector('input').name).replace(/^\w+\[|\]$/g, '').split(':');

/** Tables with a head go column by column, those without one row by row. */
function inTakingOrder(fields) {
  const placed = fields.map((field) => {
    const table = field.closest('table');
    const cell = field.closest('td');
    let column = 0;
    for (
      let before = cell?.previousElementSibling;
      before;
      before = before.previousElementSibling
    ) {
      column += before.colSpan;
    }
    return { field, table, column: table?.tHead ? column : 0 };
  });
  const tables = [...new Set(placed.map((one) => one.table))];
  return tables.flatMap((table) =>
    placed
      .filter((one) => one.table === table)
      .sort((a, b) => a.column - b.column)
      .map((one) => one.field),
  );
}

/** Digit, hand and mode: `index_pip_flexion` and `index_dip_flexion` of one hand are one finger. */
function fingerOf(field) {
  const [code, side, mode] = partsOf(field);
  return `${code.split('_')[0]}:${side}:${mode}`;
}

function markJoint(form, target) {
  const [code, side] = target.name?.startsWith('m[') ? partsOf(target) : ['', ''];
  for (const link of form.querySelectorAll('.hand-map a')) {
    const here =
      code !== '' &&
      link.getAttribute('href').includes(`:${side}:`) &&
      code.startsWith(link.dataset.joint === 'thumb' ? 'thumb_palmar' : link.dataset.joint);
    link.setAttribute('aria-current', here ? 'true' : 'false');
  }
}

function show(form, fields, answer) {
  for (const field of fields) {
    if (field.tagName !== 'INPUT') {
      continue;
    }
    const key = field.name.slice(2, -1);
    say(field, 'wrong', answer.problems[key]);
    say(field, 'said', answer.trials[key]);
    field.toggleAttribute('aria-invalid', false);
    if (answer.problems[key]) {
      field.setAttribute('aria-invalid', 'true');
    } else {
      field.removeAttribute('aria-invalid');
    }
  }
  for (const [side, hand] of Object.entries(answer.hands)) {
    const place = form.querySelector(`[data-hand="${side}"]`);
    place.querySelector('[data-active]').textContent = hand.active || '–';
    place.querySelector('[data-passive]').textContent = hand.passive || '–';
    place.querySelectorAll('tbody tr').forEach((row, i) => {
      const { active, passive, lag, ask } = hand.rows[i];
      [active, passive, ask ? `${lag} ${ask}` : lag].forEach((text, cell) => {
        row.cells[cell + 1].textContent = text;
      });
    });
    place
      .querySelector('[data-findings]')
      .replaceChildren(
        ...hand.findings.map((title) =>
          Object.assign(document.createElement('li'), { textContent: title }),
        ),
      );
  }
  if (answer.hand) {
    const figure = form.querySelector('[data-live-hand]');
    figure.hidden = false;
    hang(figure.querySelector('svg'), answer.hand.window, answer.hand.layers);
    figure.querySelector('figcaption').textContent =
      `${answer.hand.side} hand, opened by itself as measured`;
  }
  form.querySelector('[data-kept]').textContent =
    answer.typed > 0 ? `${answer.typed} values typed; the draft is on the server.` : '';
}

function say(field, kind, text) {
  const place = field.closest('td') ?? field.parentElement;
  const id = `${kind}-${field.name}`;
  const said =
    place.querySelector(`[id="${CSS.escape(id)}"]`) ??
    (kind === 'wrong' ? place.querySelector('.wrong:not([id])') : null);
  if (!text) {
    said?.remove();
    return;
  }
  const words =
    said ??
    place.appendChild(
      Object.assign(document.createElement('span'), {
        className: kind === 'wrong' ? 'wrong' : 'quiet small block',
      }),
    );
  words.id = id;
  words.textContent = text;
  field.setAttribute('aria-describedby', id);
}
