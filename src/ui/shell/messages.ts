/** A short message to whoever is at the page. */
export interface Message {
  readonly text: string;
  readonly action?: { readonly label: string; readonly run: () => void };
  /** Stays until it is dismissed or acted on. */
  readonly stays: boolean;
  /** A later message under the same key takes its place; one without text takes it away. */
  readonly key?: string;
}

const waiting: Message[] = [];
const listeners = new Set<() => void>();
let any = false;

function say(message: Message): void {
  waiting.push(message);
  any = true;
  for (const listener of listeners) listener();
}

/** Hands over the messages that wait; those that come later are told to `listener`. */
export function hear(listener: (message: Message) => void): () => void {
  const take = () => {
    for (const message of waiting.splice(0)) listener(message);
  };
  listeners.add(take);
  take();
  return () => void listeners.delete(take);
}

/** Whether there was any message yet, for the place where they stand. */
export const anyMessage = (): boolean => any;

/** Calls `listener` with each message that comes; gives back what stops it. */
export const onMessage = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => void listeners.delete(listener);
};

/** Says something in passing; with what can be done about it, where something can. */
export const toast = (text: string, action?: Message["action"]): void => say({ text, action, stays: false });

/** Says that something failed. It stays until it is dismissed or tried again. */
export const failed = (text: string, again?: () => void, key?: string): void =>
  say({ text, action: { label: again ? "Try again" : "Close", run: () => again?.() }, stays: true, ...(key ? { key } : {}) });

/** Offers something that can be done; it stays until it is, or is dismissed. */
export const ask = (text: string, label: string, run: () => void): void => say({ text, action: { label, run }, stays: true });

/** Takes a message away that no longer holds. */
export const withdraw = (key: string): void => {
  if (any) say({ text: "", stays: false, key });
};
