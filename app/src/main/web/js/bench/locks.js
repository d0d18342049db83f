// One tab works on a draft at a time. A browser without locks lets every tab, as it did before there were any.

const nameOf = (clientId) => `vivarium-draft-${clientId}`;

/** Claims a draft until the page is left; answers whether it was free. */
export function claim(clientId) {
  if (!globalThis.navigator?.locks) {
    return Promise.resolve(true);
  }
  return new Promise((answer) => {
    navigator.locks.request(nameOf(clientId), { ifAvailable: true }, (lock) => {
      answer(lock !== null);
      return lock === null ? undefined : new Promise(() => {});
    });
  });
}

/** Whether another tab works on a draft. */
export async function isClaimed(clientId) {
  if (!globalThis.navigator?.locks) {
    return false;
  }
  return (await navigator.locks.query()).held.some((l) => l.name === nameOf(clientId));
}
