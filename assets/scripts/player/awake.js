/** Keeps the screen lit while something is played; a browser without it goes dark as always. */
export class Awake {
  /** @type {WakeLockSentinel|null} */
  #lock = null;

  async hold() {
    try {
      this.#lock ??= (await navigator.wakeLock?.request('screen')) ?? null;
    } catch {
      this.#lock = null;
    }
  }

  release() {
    this.#lock?.release().catch(() => {});
    this.#lock = null;
  }
}
