const KEY = 'sparen.single-keys';

/** Whether letters pressed alone do something: off for who dictates, or whose hands hit keys they did not mean (WCAG 2.1.4). */
class SingleKeys {
  on = $state(localStorage.getItem(KEY) !== 'off');

  toggle() {
    this.on = !this.on;
    localStorage.setItem(KEY, this.on ? 'on' : 'off');
  }
}

export const singleKeys = new SingleKeys();
