import { made, one } from '../core/dom.js';
import { touching } from '../player/touching.js';

/** Writing to the clinic in a few words, and reading what it answered. */
export class Messages {
  #about = '';

  /**
   * @param {import('../player/faces.js').Faces} faces
   * @param {import('../core/running.js').Running} running
   * @param {import('../player/guard.js').Guard} guard
   * @param {(kind: string, body: Record<string, unknown>) => void} tell
   */
  constructor(faces, running, guard, tell) {
    this.faces = faces;
    this.tell = tell;
    const face = faces.get('write');
    this.text = one(face, '[data-text]', HTMLTextAreaElement);
    const on = touching(running, guard);
    on(faces.get('message'), 'about', (about, button) => {
      this.#about = about;
      this.text.value = '';
      faces.put('write', { title: button.textContent?.trim() ?? '' });
      faces.show('write');
    });
    on(face, 'big', () => {
      this.tell('message', { about: this.#about, text: this.text.value });
      faces.show('sent');
    });
  }

  /** @param {import('./types.js').Message[]} messages */
  show(messages) {
    one(this.faces.get('message'), '[data-messages]', HTMLElement).replaceChildren(
      ...messages.slice(0, 10).map((message) => this.#row(message)),
    );
    this.faces.show('message');
  }

  /** @param {import('./types.js').Message} message */
  #row(message) {
    const row = made('li', {});
    const words = message.text === '' ? '' : `: “${message.text}”`;
    row.append(made('p', { textContent: `You wrote${words}` }));
    if (message.answer !== '') {
      const on = new Date(message.on ?? '').toLocaleDateString([], { weekday: 'long' });
      row.append(made('p', { textContent: `${message.by} wrote on ${on}: ${message.answer}` }));
      if (!message.isRead) {
        const read = made('button', {
          type: 'button',
          className: 'btn',
          textContent: 'I have read it',
        });
        read.onclick = () => {
          message.isRead = true;
          this.tell('read', { message: message.id });
          read.remove();
        };
        row.append(read);
      }
    } else {
      row.append(made('p', { textContent: 'Your message is kept. Nobody may have read it yet.' }));
    }
    return row;
  }
}
