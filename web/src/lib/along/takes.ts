/** What is the same for all sites. */
export const pathsOfAll = ['/api/device-profiles', '/api/settables'];

const LOG_BUCKETS = 1200;

/** What is taken of a site; with an answer, what else that names. */
export function pathsOf(site: string, path = '', body = ''): string[] {
  const base = `/api/sites/${site}`;
  if (path === '') {
    return [
      'revisions/latest',
      'revisions',
      'drafts',
      'handover',
      'commissioning',
      'bench-tests',
      'bench-scripts',
      'profile-notes',
      'agreement',
      'card',
      'wires',
      'now',
      'log',
      'log/kinds',
      'daily',
      'logger-files',
      `recorded?buckets=${LOG_BUCKETS}`,
      'profiles',
      'weather-files',
      'files',
    ]
      .map((one) => `${base}/${one}`)
      .concat(`/api/reading/${site}/history`);
  }
  if (path === `${base}/revisions`) {
    const revisions = JSON.parse(body) as { number: number }[];
    return revisions.map((one) => `${base}/revisions/${one.number}`);
  }
  if (path === `${base}/bench-tests`) {
    const tests = JSON.parse(body) as { id: string }[];
    return tests.map((one) => `${base}/bench-tests/${one.id}`);
  }
  if (path === `${base}/revisions/latest`) {
    const { plan, revision } = JSON.parse(body) as {
      plan: { program: { devices?: { id: string }[] } };
      revision: { number: number };
    };
    return (plan.program.devices ?? []).flatMap((one) => [
      `${base}/devices/${one.id}/readings`,
      `${base}/revisions/${revision.number}/devices/${one.id}/sheet`,
    ]);
  }
  return [];
}
