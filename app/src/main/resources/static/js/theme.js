(() => {
  "use strict";
  const kept = localStorage.getItem("ulnaris-theme");
  const dark = kept ? kept === "dark" : matchMedia("(prefers-color-scheme: dark)").matches;
  document.documentElement.dataset.bsTheme = dark ? "dark" : "light";
  document.documentElement.classList.add("js");
})();
