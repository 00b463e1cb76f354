/** A place of the application that can be gone to. */
export interface Place {
  key: 'sites' | 'plan' | 'bench' | 'season' | 'handover' | 'log' | 'account' | 'accounts';
  name: string;
  /** Goes there after `g`. */
  letter: string;
  address: string;
}

/** The places that are offered: those of a site where one is open. */
export function placesOf(site: string | undefined, administers: boolean): Place[] {
  const sites: Place = { key: 'sites', name: 'Sites', letter: 's', address: '/' };
  if (!site) {
    return administers
      ? [sites, { key: 'accounts', name: 'People', letter: 'a', address: '/accounts' }]
      : [sites];
  }
  return [
    sites,
    { key: 'plan', name: 'Plan', letter: 'p', address: `/site/${site}/plan` },
    { key: 'bench', name: 'Bench', letter: 'b', address: `/site/${site}/bench` },
    { key: 'season', name: 'Season', letter: 'e', address: `/site/${site}/season` },
    { key: 'handover', name: 'Handover', letter: 'h', address: `/site/${site}/handover` },
    { key: 'log', name: 'Log', letter: 'l', address: `/site/${site}/log` },
  ];
}
