// The words of the page, in the language of the person.

/** Returns a function that words a key with its values. */
export const wording = (texts) => (key, ...values) =>
  values.reduce((text, value, i) => text.replaceAll(`{${i}}`, value), texts[key] || key);
