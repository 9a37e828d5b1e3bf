// What every page does: help, echo of what was understood, one submit a tap, a word when the server is away.
"use strict";
(function () {
  const typing = function (element) {
    return element && (element.matches("input:not([type=radio]):not([type=checkbox]), select, textarea") || element.isContentEditable);
  };

  const help = document.getElementById("help");
  const openHelp = function () { if (help && !help.open) help.showModal(); };
  document.getElementById("help-open")?.addEventListener("click", openHelp);
  document.addEventListener("keydown", function (event) {
    if (event.key === "?" && !typing(event.target)) { event.preventDefault(); openHelp(); }
  });

  // echo: what was understood of a weight or price, before it counts
  const timers = new WeakMap();
  const echo = function (input) {
    clearTimeout(timers.get(input));
    timers.set(input, setTimeout(async function () {
      const target = document.getElementById(input.dataset.echoTo);
      if (!target) return;
      if (!input.value.trim()) { target.replaceChildren(); return; }
      const typed = input.value;
      try {
        const answer = await fetch("/understood?what=" + input.dataset.echo + "&typed=" + encodeURIComponent(typed.slice(0, 200)), { headers: { "HX-Request": "true" } });
        if (answer.ok && input.value === typed) target.innerHTML = await answer.text(); // our own escaped fragment
      } catch (e) { /* the server is away; the weight is checked when it is sent */ }
    }, 120));
  };
  document.addEventListener("input", function (event) { if (event.target.dataset && event.target.dataset.echo) echo(event.target); });
  document.addEventListener("restored", function (event) { if (event.target.dataset.echo) echo(event.target); });
  document.querySelectorAll("[data-echo]").forEach(function (input) { if (input.value) echo(input); });

  // the time zone of the house is most likely that of the tablet
  document.querySelectorAll("[data-zone]").forEach(function (input) {
    if (!input.value) input.value = Intl.DateTimeFormat().resolvedOptions().timeZone || "";
  });

  // one submit a tap: a second tap while the first is under way does nothing
  document.addEventListener("submit", function (event) {
    const form = event.target;
    if (form.method === "dialog" || (form.hasAttribute("hx-post") && !form.hasAttribute("hx-trigger"))) return;
    if (form.dataset.sent && Date.now() - Number(form.dataset.sent) < 4000) { event.preventDefault(); return; }
    form.dataset.sent = String(Date.now());
  });
  window.addEventListener("pageshow", function () {
    document.querySelectorAll("form[data-sent]").forEach(function (form) { delete form.dataset.sent; });
  });

  document.querySelectorAll(".autosend").forEach(function (input) {
    input.addEventListener("change", function () { input.form.requestSubmit(); });
  });
  document.querySelectorAll(".fill-in").forEach(function (button) {
    button.addEventListener("click", function () {
      document.getElementById("name").value = button.dataset.name;
      document.getElementById("password").value = button.dataset.password;
    });
  });

  document.querySelectorAll(".print-it").forEach(function (button) {
    button.addEventListener("click", function () { window.print(); });
  });

  // who signs out leaves no page behind in this browser
  document.querySelector('form[action$="/sign-out"]')?.addEventListener("submit", function () {
    if (window.caches) caches.delete("bench-1");
    Object.keys(localStorage).filter(function (key) { return key.startsWith("bench-model-"); }).forEach(function (key) { localStorage.removeItem(key); });
  });

  const offline = document.getElementById("offline");
  const away = function (is) { if (offline) offline.hidden = !is; };
  document.addEventListener("htmx:sendError", function () { away(true); });
  document.addEventListener("htmx:responseError", function (event) { away(event.detail.xhr.status >= 500); });
  document.addEventListener("htmx:beforeSwap", function () { away(false); });
})();
