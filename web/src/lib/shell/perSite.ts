/** One of a kind for each site: the same one whenever its place is entered. Not shown anywhere, so nothing needs to react to it. */
export function perSite<T>(make: (site: string) => T): (site: string) => T {
  const made = new Map<string, T>();
  return (site) => {
    const there = made.get(site) ?? make(site);
    made.set(site, there);
    return there;
  };
}
