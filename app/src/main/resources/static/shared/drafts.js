// Keeps what is typed but not stored: over a reload, an ended session, a server that is away.
// A draft is cleared when the server has taken it. Passwords are never kept.
"use strict";
(function () {
  const kept = function (input) {
    return input.name && !["password", "hidden", "submit", "button", "file"].includes(input.type);
  };
  const keyOf = function (input) {
    const form = input.closest("form[data-draft]");
    if (input.dataset.draftKey) return "draft:" + input.dataset.draftKey;
    return form && kept(input) ? "draft:" + form.dataset.draft : null;
  };
  const read = function (key) {
    try { return JSON.parse(sessionStorage.getItem(key)) || null; } catch (e) { return null; }
  };
  const write = function (key, value) {
    try { sessionStorage.setItem(key, JSON.stringify(value)); } catch (e) { /* a full store loses drafts, not data */ }
  };
  const values = function (form) {
    const all = {};
    for (const input of form.elements) {
      if (!kept(input)) continue;
      if (input.type === "radio" || input.type === "checkbox") { if (input.checked) all[input.name] = input.value; }
      else all[input.name] = input.value;
    }
    return all;
  };
  const fill = function (form, all) {
    for (const input of form.elements) {
      if (!kept(input) || !(input.name in all)) continue;
      if (input.type === "radio" || input.type === "checkbox") input.checked = input.value === all[input.name];
      else input.value = all[input.name];
    }
  };

  document.addEventListener("input", function (event) {
    const key = keyOf(event.target);
    if (!key) return;
    const form = event.target.closest("form");
    write(key, { at: Date.now(), values: event.target.dataset.draftKey ? event.target.value : values(form) });
  });
  document.addEventListener("submit", function (event) {
    const name = event.target.dataset.draft;
    const draft = name && read("draft:" + name);
    if (draft) { draft.sent = true; write("draft:" + name, draft); }
  });

  const restore = function () {
    const back = document.referrer.includes("/sign-in") || location.search.includes("reloaded");
    const refused = document.querySelector(".notice.alarm, .problem") !== null;
    document.querySelectorAll("[data-clear-draft]").forEach(function (mark) {
      sessionStorage.removeItem("draft:" + mark.dataset.clearDraft);
    });
    document.querySelectorAll("form[data-draft]").forEach(function (form) {
      const key = "draft:" + form.dataset.draft;
      const draft = read(key);
      if (!draft) return;
      if (draft.sent && !back && !refused) { sessionStorage.removeItem(key); return; }
      fill(form, draft.values);
    });
    restoreSingles();
  };
  const restoreSingles = function () {
    document.querySelectorAll("[data-draft-key]").forEach(function (input) {
      const draft = read("draft:" + input.dataset.draftKey);
      if (draft && !input.value) { input.value = draft.values; input.dispatchEvent(new Event("restored", { bubbles: true })); }
    });
  };
  document.addEventListener("DOMContentLoaded", restore);
  document.addEventListener("htmx:afterSwap", restoreSingles);
  // a part that was taken leaves no draft behind
  document.addEventListener("htmx:beforeSwap", function (event) {
    const form = event.detail.requestConfig && event.detail.requestConfig.elt;
    if (event.detail.xhr.status !== 200 || !form || form.id !== "take") return;
    form.querySelectorAll("[data-draft-key]").forEach(function (input) {
      sessionStorage.removeItem("draft:" + input.dataset.draftKey);
    });
  });
})();
