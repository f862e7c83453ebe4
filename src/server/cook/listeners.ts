type Listener = () => void;

// The framework can bundle this module more than once, so the one list hangs on the process.
const shared = globalThis as typeof globalThis & { threpsisCookListeners?: Map<string, Set<Listener>> };
const listeners = (): Map<string, Set<Listener>> => (shared.threpsisCookListeners ??= new Map<string, Set<Listener>>());

/** Tells all who listen that something was added to a batch. */
export function told(batch: string): void {
  for (const listener of listeners().get(batch) ?? []) listener();
}

/** Listens to a batch until the returned function is called. */
export function listen(batch: string, listener: Listener): () => void {
  const all = listeners();
  const of = all.get(batch) ?? new Set<Listener>();
  all.set(batch, of);
  of.add(listener);
  return () => {
    of.delete(listener);
    if (of.size === 0) all.delete(batch);
  };
}
