/**
 * The measuring form: figures from the core as you type, last values to copy, Enter down the column.
 * @param {HTMLFormElement} form carries data-figures, the address that computes
 */
export function connect(form) {
  const fields = [...form.querySelectorAll('input[name^="m["]')];
  let pending = null;
  let round = 0;
  let changed = false;

  const compute = async () => {
    round += 1;
    const mine = round;
    try {
      const response = await fetch(form.dataset.figures, { method: 'POST', body: new FormData(form), headers: { Accept: 'application/json' } });
      if (response.ok && mine === round) {
        show(form, fields, await response.json());
      }
    } catch {
      // no network: the figures wait, what is typed stays
    }
  };

  form.addEventListener('input', () => {
    changed = true;
    clearTimeout(pending);
    pending = setTimeout(compute, 120);
  });
  form.addEventListener('submit', () => { changed = false; });
  window.addEventListener('beforeunload', (event) => {
    if (changed) {
      event.preventDefault();
    }
  });
  form.addEventListener('keydown', (event) => {
    const field = event.target;
    if (!fields.includes(field)) {
      return;
    }
    if (event.key === 'Enter') {
      event.preventDefault();
      below(field, fields)?.focus();
    } else if (event.key === '=' && field.dataset.last) {
      event.preventDefault();
      set(field, field.dataset.last);
      field.select();
    } else if (event.key === 'u' && field.value === '') {
      event.preventDefault();
      set(field, 'usual');
    }
  });

  const copy = form.querySelector('[data-copy]');
  copy.hidden = false;
  for (const button of copy.querySelectorAll('button')) {
    button.addEventListener('click', () => {
      for (const field of fields) {
        if (field.dataset.side === button.dataset.copySide && field.value === '' && field.dataset.last) {
          set(field, field.dataset.last);
        }
      }
    });
  }
}

function set(field, value) {
  field.value = value;
  field.dispatchEvent(new Event('input', { bubbles: true }));
}

/** The field of the next row in the same column: same hand, same mode. */
function below(field, fields) {
  const columnOf = (other) => other.name.replace(/^m\[[^:]+:([^:]+:[^:]+):.*$/, '$1');
  return fields.slice(fields.indexOf(field) + 1).find((other) => columnOf(other) === columnOf(field));
}

function show(form, fields, answer) {
  for (const field of fields) {
    const problem = answer.problems[field.name.slice(2, -1)];
    const said = field.parentElement.querySelector('.wrong');
    if (problem) {
      const words = said ?? field.parentElement.appendChild(Object.assign(document.createElement('span'), { className: 'wrong', id: `p-${field.name}` }));
      words.textContent = problem;
      field.setAttribute('aria-invalid', 'true');
      field.setAttribute('aria-describedby', words.id);
    } else {
      said?.remove();
      field.removeAttribute('aria-invalid');
    }
  }
  for (const [side, hand] of Object.entries(answer.hands)) {
    const place = form.querySelector(`[data-hand="${side}"]`);
    place.querySelector('[data-active]').textContent = hand.active || '–';
    place.querySelector('[data-passive]').textContent = hand.passive || '–';
    place.querySelectorAll('tbody tr').forEach((row, i) => {
      const { active, passive, lag, ask } = hand.rows[i];
      [active, passive, ask ? `${lag} ${ask}` : lag].forEach((text, cell) => { row.cells[cell + 1].textContent = text; });
    });
  }
}
