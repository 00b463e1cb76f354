/** The level that the pointer or the focus is on: its number, its peg and its line light up together. */
class Lit {
  /** Path of the level in the plan. */
  path = $state<string>();

  /** Listeners that light a level while the pointer or the focus is on what shows it. */
  by(path: string) {
    const on = () => (this.path = path);
    const off = () => {
      if (this.path === path) this.path = undefined;
    };
    return { onpointerenter: on, onpointerleave: off, onfocusin: on, onfocusout: off };
  }
}

export const lit = new Lit();
