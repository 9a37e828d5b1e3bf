// Light, dark or the system's way; the server knows the choice by its cookie.

const ORDER = ["auto", "dark", "light"];

/** Makes the switch of the menu turn. */
export const turnTheme = () => {
  const button = document.getElementById("theme-switch");
  if (!button) return;
  const root = document.documentElement;
  const now = () => root.dataset.theme || "auto";
  const show = () => {
    button.title = button.dataset[now()];
    button.setAttribute("aria-label", button.title);
  };
  button.addEventListener("click", () => {
    root.dataset.theme = ORDER[(ORDER.indexOf(now()) + 1) % ORDER.length];
    document.cookie = `mosaic_theme=${root.dataset.theme}; path=/; max-age=31536000; samesite=lax`;
    show();
  });
  show();
};
