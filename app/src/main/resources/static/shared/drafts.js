// Keeps what is typed but not saved: over a reload, an ended session, a server that is away.
// A draft is cleared when the server has taken it. Passwords are never kept.

const NEVER = ["password", "hidden", "submit", "button", "file"];
const TICKED = ["radio", "checkbox"];

const isKept = (input) => input.name && !NEVER.includes(input.type);
const keyOf = (input) => {
  if (input.dataset.draftKey) return `draft:${input.dataset.draftKey}`;
  const form = input.closest("form[data-draft]");
  return form && isKept(input) ? `draft:${form.dataset.draft}` : null;
};
const read = (key) => {
  try {
    return JSON.parse(sessionStorage.getItem(key)) || null;
  } catch (e) {
    return null;
  }
};
const write = (key, value) => {
  try {
    sessionStorage.setItem(key, JSON.stringify(value));
  } catch (e) {
    /* a full store loses drafts, not data */
  }
};

/** What stands in the fields of a form, by name; of ticked ones every value. */
export const valuesOf = (form) => {
  const all = {};
  for (const input of form.elements) {
    if (!isKept(input)) continue;
    if (!TICKED.includes(input.type)) all[input.name] = input.value;
    else all[input.name] = [...(all[input.name] || []), ...(input.checked ? [input.value] : [])];
  }
  return all;
};

/** Puts values back; a field the draft does not know keeps what it has. */
export const fill = (form, all) => {
  for (const input of form.elements) {
    if (!isKept(input) || !(input.name in all)) continue;
    if (TICKED.includes(input.type)) input.checked = [].concat(all[input.name]).includes(input.value);
    else input.value = all[input.name];
  }
};

const restoreSingles = () => {
  document.querySelectorAll("[data-draft-key]").forEach((input) => {
    const draft = read(`draft:${input.dataset.draftKey}`);
    if (!draft || input.value) return;
    input.value = draft.values;
    input.dispatchEvent(new Event("restored", { bubbles: true }));
  });
};
const restore = () => {
  const back = document.referrer.includes("/sign-in") || location.search.includes("reloaded");
  const refused = document.querySelector(".alert-danger, .problem") !== null;
  document.querySelectorAll("[data-clear-draft]").forEach((mark) => {
    sessionStorage.removeItem(`draft:${mark.dataset.clearDraft}`);
  });
  document.querySelectorAll("form[data-draft]").forEach((form) => {
    const key = `draft:${form.dataset.draft}`;
    const draft = read(key);
    if (!draft) return;
    if (draft.sent && !back && !refused) sessionStorage.removeItem(key);
    else fill(form, draft.values);
  });
  restoreSingles();
};

/** Keeps the drafts of this page. */
export const keepDrafts = () => {
  document.addEventListener("input", (event) => {
    const key = keyOf(event.target);
    if (!key) return;
    const values = event.target.dataset.draftKey ? event.target.value : valuesOf(event.target.closest("form"));
    write(key, { at: Date.now(), values });
  });
  document.addEventListener("submit", (event) => {
    const name = event.target.dataset.draft;
    const draft = name && read(`draft:${name}`);
    if (draft) write(`draft:${name}`, { ...draft, sent: true });
  });
  document.addEventListener("htmx:afterSwap", restoreSingles);
  restore();
};
