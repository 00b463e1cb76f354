const KEY = 'sparen.ground';

/** Light or dark ground: light unless chosen otherwise. */
class Theme {
  dark = $state(localStorage.getItem(KEY) === 'dark');

  apply() {
    document.documentElement.classList.toggle('dark', this.dark);
  }

  toggle() {
    this.dark = !this.dark;
    localStorage.setItem(KEY, this.dark ? 'dark' : 'light');
    this.apply();
  }
}

export const theme = new Theme();
