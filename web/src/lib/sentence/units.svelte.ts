const KEY = 'sparen.units';

/** What is kept in this browser; nothing where there is no storage. */
const kept = () => (typeof localStorage === 'undefined' ? null : localStorage.getItem(KEY));

/** In which units somebody reads and types: metric ones unless chosen otherwise. Plans are metric, whatever is chosen. */
class Units {
  /** Feet, gauges, gallons and degrees Fahrenheit. */
  customary = $state(kept() === 'customary');

  choose(customary: boolean) {
    this.customary = customary;
    localStorage.setItem(KEY, customary ? 'customary' : 'metric');
  }
}

export const units = new Units();
