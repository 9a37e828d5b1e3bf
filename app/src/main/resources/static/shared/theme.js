// Chooses light, dark or the system's way. Loaded before the page is drawn; the server knows the cookie.
"use strict";
(function () {
  const order = ["auto", "dark", "light"];
  document.addEventListener("DOMContentLoaded", function () {
    const button = document.getElementById("theme-switch");
    if (!button) return;
    const root = document.documentElement;
    const show = function () {
      const theme = root.dataset.theme || "auto";
      const word = theme === "auto" ? "as the system" : theme;
      button.title = "Light or dark: " + word;
      button.setAttribute("aria-label", "Light or dark: now " + word);
    };
    button.addEventListener("click", function () {
      const next = order[(order.indexOf(root.dataset.theme || "auto") + 1) % order.length];
      root.dataset.theme = next;
      document.cookie = "mosaic_theme=" + next + "; path=/; max-age=31536000; samesite=lax";
      show();
    });
    show();
  });
})();
