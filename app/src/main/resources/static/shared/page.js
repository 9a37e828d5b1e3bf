// What every page does: help, light or dark, drafts, the echo of what was understood, one submit a tap,
// a word when the server is away.

import { keepDrafts } from "./drafts.js";
import { turnTheme } from "./theme.js";

const SECOND_TAP_MILLIS = 4000;
const ECHO_MILLIS = 120;

const isTyping = (element) =>
  element.matches("input:not([type=radio]):not([type=checkbox]), select, textarea") || element.isContentEditable;

const help = document.getElementById("help");
const openHelp = () => {
  if (help && !help.open) help.showModal();
};
document.getElementById("help-open")?.addEventListener("click", openHelp);
document.addEventListener("keydown", (event) => {
  if (event.key !== "?" || isTyping(event.target)) return;
  event.preventDefault();
  openHelp();
});

// echo: what was understood of a weight or price, before it counts
const timers = new WeakMap();
const askEcho = async (input) => {
  const target = document.getElementById(input.dataset.echoTo);
  if (!target) return;
  const typed = input.value;
  if (!typed.trim()) {
    target.replaceChildren();
    return;
  }
  const query = new URLSearchParams({ what: input.dataset.echo, typed: typed.slice(0, 200) });
  const { expected, spread } = input.dataset;
  if (expected) query.set("expected", expected);
  if (spread) query.set("spread", spread);
  // the server may be away: the weight is checked when it is sent
  const answer = await fetch(`/understood?${query}`, { headers: { "HX-Request": "true" } }).catch(() => null);
  const words = answer?.ok ? await answer.text() : "";
  // what was asked for another figure, or by another norm, is no answer any more
  if (words && input.value === typed && input.dataset.expected === expected) target.innerHTML = words; // our own escaped fragment
};
const echo = (input) => {
  clearTimeout(timers.get(input));
  timers.set(input, setTimeout(() => askEcho(input), ECHO_MILLIS));
};
["input", "restored"].forEach((name) => {
  document.addEventListener(name, (event) => {
    if (event.target.dataset?.echo) echo(event.target);
  });
});
document.querySelectorAll("[data-echo]").forEach((input) => {
  if (input.value) echo(input);
});

// tabs: which question is shown; with its address the style shows it, also without this script
const showTab = () => {
  const shown = document.getElementById(location.hash.slice(1))?.closest(".tabbed > section");
  document.querySelectorAll(".tabbed").forEach((frame) => {
    const { id } = frame.contains(shown) ? shown : frame.querySelector(":scope > section");
    frame.querySelectorAll(".tabbed-list a").forEach((tab) => {
      if (tab.hash === `#${id}`) tab.setAttribute("aria-current", "true");
      else tab.removeAttribute("aria-current");
    });
  });
};
window.addEventListener("hashchange", showTab);
showTab();

// the time zone of the house is most likely that of the tablet
document.querySelectorAll("[data-zone]").forEach((input) => {
  input.value ||= Intl.DateTimeFormat().resolvedOptions().timeZone || "";
});

// one submit a tap: a second tap while the first is under way does nothing
document.addEventListener("submit", (event) => {
  const form = event.target;
  if (form.method === "dialog" || (form.hasAttribute("data-hx-post") && !form.hasAttribute("data-hx-trigger"))) return;
  if (form.dataset.sent && Date.now() - Number(form.dataset.sent) < SECOND_TAP_MILLIS) event.preventDefault();
  else form.dataset.sent = String(Date.now());
});
window.addEventListener("pageshow", () => {
  document.querySelectorAll("form[data-sent]").forEach((form) => delete form.dataset.sent);
});

document.querySelectorAll(".autosend").forEach((input) => {
  input.addEventListener("change", () => input.form.requestSubmit());
});
document.querySelectorAll(".fill-in").forEach((button) => {
  button.addEventListener("click", () => {
    document.getElementById("name").value = button.dataset.name;
    document.getElementById("password").value = button.dataset.password;
  });
});
document.querySelectorAll(".print-it").forEach((button) => {
  button.addEventListener("click", () => window.print());
});

// who signs out leaves no page behind in this browser
document.querySelector('form[action$="/sign-out"]')?.addEventListener("submit", () => {
  window.indexedDB?.deleteDatabase("mosaic-pages");
  Object.keys(localStorage)
    .filter((key) => key.startsWith("bench-model-"))
    .forEach((key) => localStorage.removeItem(key));
});

// what was chosen in a list stays chosen when the list comes anew
let chosen = [];
document.addEventListener("htmx:beforeSwap", (event) => {
  const checked = event.detail.target.querySelectorAll("input[type=radio]:checked");
  chosen = [...checked].map((input) => ({ name: input.name, value: input.value }));
});
document.addEventListener("htmx:afterSwap", () => {
  for (const one of chosen) {
    const same = [...document.getElementsByName(one.name)].filter((input) => input.type === "radio");
    const again = same.find((input) => input.value === one.value);
    if (again && !same.some((input) => input.checked)) again.checked = true;
  }
  chosen = [];
});

// what the signs propose is chosen beforehand, until a hand has chosen; the verdict may come after the hand
document.addEventListener("change", (event) => {
  if (event.target.name === "decision") event.target.form.dataset.decided = "";
});
document.addEventListener("htmx:afterSwap", (event) => {
  const verdict = document.getElementById("verdict");
  const form = verdict?.closest("form");
  if (!verdict?.dataset.proposal || event.detail.target.id !== "verdict" || "decided" in form.dataset) return;
  form.querySelector(`[name=decision][value=${verdict.dataset.proposal}]`).checked = true;
});

const offline = document.getElementById("offline");
const away = (is) => {
  if (offline) offline.hidden = !is;
};
document.addEventListener("htmx:sendError", () => away(true));
document.addEventListener("htmx:responseError", (event) => away(event.detail.xhr.status >= 500));
document.addEventListener("htmx:beforeSwap", () => away(false));

keepDrafts();
turnTheme();
