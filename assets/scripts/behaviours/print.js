export function connect(button) {
  button.hidden = false;
  button.addEventListener('click', () => window.print());
}
