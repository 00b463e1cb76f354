import type { SiteInList } from '../lib/api/api';
import type { Problem } from '../lib/api/client';
import { gate } from '../lib/along/gate.svelte';
import { session } from '../lib/shell/session.svelte';

const away = (detail: string): Problem => ({ type: 'about:blank', status: 0, detail });

/** Takes a site along, or anew, with the page itself and the core; says how far it is. What went wrong, where something did. */
export async function takeAlong(
  site: SiteInList,
  says: (text: string) => void,
): Promise<Problem | undefined> {
  const { canInstall, installShell } = await import('../lib/along/shell');
  const { take } = await import('../lib/along/taking');
  if (!canInstall()) {
    return away(
      'This browser keeps nothing of a page that comes unencrypted. Reach Sparen by https, or on the computer that it runs on; the administrator finds how in the document on operating.',
    );
  }
  try {
    says(`Taking ${site.name} along`);
    const along = await gate.open();
    if (session.person) await along.saw(session.person);
    await take(along, site, (done, all) => says(`Taking ${site.name} along: ${done} of ${all}`));
    says(`Taking ${site.name} along: the page itself`);
    await installShell(() => (along.newer = true));
    const { bringCore } = await import('../lib/engine/engine');
    if (!(await bringCore())) throw new Error('the core did not come');
    // A browser that runs out of room asks before it clears what is here.
    await navigator.storage.persist();
    says(`${site.name} is taken along: it opens without a network.`);
    return undefined;
  } catch (failure) {
    says('');
    return away(
      `${site.name} could not be taken along: ${failure instanceof Error ? failure.message : String(failure)}. Try again.`,
    );
  }
}
