// What scripts say comes from where the page says, in the reader's language: messages that begin with "script.". A figure stands where its name does
// in braces; where a message has forms for numbers, the figure n chooses among them as the language does.
const from = globalThis.document?.querySelector?.('meta[name="messages"]')?.content;
let messages = from ? (await import(from)).default : {};

/** Other messages, for tests, which have no page. */
export const useMessages = (others) => {
  messages = others;
};

/** The message of a key with its figures; the key itself where the page has none. */
export function message(key, figures = {}) {
  const form = figures.n === undefined ? "" : `.${new Intl.PluralRules(globalThis.document?.documentElement?.lang || "en").select(figures.n)}`;
  const text = messages[key + form] ?? messages[`${key}.other`] ?? messages[key] ?? key;
  return text.replace(/\{(\w+)\}/g, (all, name) => figures[name] ?? all);
}
