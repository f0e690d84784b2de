(() => {
  "use strict";
  const $ = (selector, root = document) => root.querySelector(selector);
  const $$ = (selector, root = document) => [...root.querySelectorAll(selector)];

  function theme() {
    const button = $("#theme-button");
    if (!button) return;
    const root = document.documentElement;
    const name = () => { button.textContent = root.dataset.bsTheme === "dark" ? button.dataset.light : button.dataset.dark; };
    name();
    button.addEventListener("click", () => {
      root.dataset.bsTheme = root.dataset.bsTheme === "dark" ? "light" : "dark";
      localStorage.setItem("ulnaris-theme", root.dataset.bsTheme);
      name();
    });
  }

  /* The slider over a section is no entry: it must not reach the form around it. */
  function slider() {
    const over = (event) => event.target instanceof Element && event.target.matches(".coin-range");
    document.addEventListener("input", (event) => {
      if (over(event)) event.target.closest("figure").querySelector(".coin-slide").style.setProperty("--cut", `${event.target.value}%`);
    });
    document.addEventListener("change", (event) => { if (over(event)) event.stopPropagation(); }, true);
  }

  function keysDialog() {
    const dialog = $("#keys");
    if (dialog && !dialog.open) dialog.showModal();
  }

  const typing = (target) => target.matches("input, textarea, select, [contenteditable]");

  function onKey(event) {
    if (event.ctrlKey || event.metaKey || event.altKey || typing(event.target)) return;
    const follow = (link) => { if (link) { event.preventDefault(); link.click(); } };
    if (event.key === "?") { event.preventDefault(); keysDialog(); }
    else if (/^[1-5]$/.test(event.key)) follow($(`.places [data-place="${event.key}"]`));
    else if (event.key === "[") follow($("#previous-cable"));
    else if (event.key === "]") follow($("#next-cable"));
    else if (event.key === "/") { event.preventDefault(); const find = $("#f-find") || $("#ask"); if (find) find.focus(); else follow($(".find-link")); }
    else if (event.key === "w") whys();
    else if (event.key === "x") otherEnd();
    else if (event.key === "r") { const input = $(".bench-input"); if (input) { event.preventDefault(); input.focus(); } }
    else if (event.key === "Escape") follow($(".close-panel"));
    else if (event.key === "Backspace") follow($("#bench-back"));
  }

  function whys() {
    const all = $$("details.why");
    const open = all.some((d) => !d.open);
    all.forEach((d) => { d.open = open; });
  }

  function otherEnd() {
    const other = $(".other-end");
    if (other) other.click();
  }

  /* The answer to a change carries the new version and the faults of the fields, which stay as they were typed. It is taken before the
     next change of the form leaves, or that would be taken for somebody else's. */
  function takeAnswer() {
    $$(".new-value").forEach((span) => { const input = document.getElementById(span.dataset.for); if (input) input.value = span.textContent; });
    $$(".new-text").forEach((span) => { const place = document.getElementById(span.dataset.for); if (place) place.textContent = span.textContent; });
    const form = $("#cable-form");
    if (!form) return;
    $$(".their-value").forEach((span) => {
      const input = form.elements[span.dataset.field];
      if (!input) return;
      const sentWas = span.dataset.was || (toggles(input) ? "false" : "");
      if (sentWas !== (toggles(input) ? String(input.checked) : input.value)) return;
      if (toggles(input)) input.checked = span.textContent === "true"; else input.value = span.textContent;
    });
    const faults = new Map($$(".new-fault").map((span) => [span.dataset.field, span.textContent]));
    $$(".field-error", form).forEach((place) => {
      const name = place.id.replace(/^e-/, "");
      const input = form.elements[name];
      place.textContent = faults.get(name) || "";
      if (input && input.setAttribute) {
        if (faults.has(name)) {
          input.setAttribute("aria-invalid", "true");
          if (input.closest("details")) input.closest("details").open = true;
        } else input.removeAttribute("aria-invalid");
      }
    });
    showKeeping();
  }

  /* An answer changes results, never what is being typed: a field that has the focus, that has changed since the request that is answered
     left, or whose form has not sent it yet, keeps what it holds, and what a person has opened stays open. */
  const sent = new WeakMap();
  let answered = new Map();
  const decided = new Map();
  const toggles = (control) => control.matches("[type=radio], [type=checkbox]");
  const holds = (control) => (toggles(control) ? control.checked : control.value);
  function rendered(control) {
    if (toggles(control)) return control.defaultChecked;
    if (!control.matches("select")) return control.defaultValue;
    const chosen = [...control.options].find((option) => option.defaultSelected) || control.options[0];
    return chosen ? chosen.value : "";
  }
  /* The fields that a request sends: of its form, where a target holds several. */
  function sentBy(event) {
    const { elt, target } = event.detail;
    if (!(target instanceof Element)) return [];
    const form = elt.closest("form");
    return $$("input, select, textarea", form && target.contains(form) ? form : target);
  }
  function rememberSent(event) { sent.set(event.detail.xhr, new Map(sentBy(event).map((control) => [control, holds(control)]))); }
  function takeSent(event) {
    answered = sent.get(event.detail.xhr) || new Map();
    decided.clear();
  }
  function typedSince(control) {
    if (control === document.activeElement && !toggles(control)) return true;
    return control.matches(".coin-range") || holds(control) !== (answered.has(control) ? answered.get(control) : rendered(control));
  }
  function keepsTyped(attribute, node, kind) {
    if (attribute === "open") return kind !== "remove" && !node.open;
    if (attribute !== "value" && attribute !== "checked" && attribute !== "selected") return true;
    const control = node.closest("input, select, textarea");
    if (!control) return true;
    /* Once an answer: its first update changes what the second would go by. */
    if (!decided.has(control)) decided.set(control, !typedSince(control));
    return decided.get(control);
  }
  if (window.Idiomorph) Idiomorph.defaults.callbacks.beforeAttributeUpdated = keepsTyped;

  /* A page that still has something to keep waits with leaving it; where that can't wait, it is sent along. */
  const unsent = new Set();
  let underWay = 0;
  const keeping = () => unsent.size > 0 || underWay > 0;
  const sender = (element) => element.closest("[hx-post]");
  let failed = false;
  function showKeeping() {
    document.body.classList.toggle("keeping", keeping());
    const note = $("#save-note");
    if (!note || (failed && !keeping())) return;
    const faulty = $$("#cable-form [aria-invalid=true]").length;
    const said = note.dataset;
    if (keeping()) note.textContent = said.keeping;
    else note.textContent = faulty === 0 ? said.kept : faulty === 1 ? said.one : said.some.replace("#", faulty);
  }
  function touched(event) {
    const from = event.target instanceof Element && !event.target.matches(".coin-range") ? sender(event.target) : null;
    if (from) { unsent.add(from); showKeeping(); }
  }
  function leaves(event) { failed = false; unsent.delete(event.detail.elt); underWay += 1; showKeeping(); }
  function arrives() { underWay = Math.max(0, underWay - 1); showKeeping(); }
  function leave(event) {
    const link = event.target.closest("a[href]");
    if (!link || !keeping() || event.defaultPrevented || event.button !== 0 || event.ctrlKey || event.metaKey || event.shiftKey || link.target) return;
    event.preventDefault();
    const until = Date.now() + 4000;
    const go = () => { if (keeping() && Date.now() < until) setTimeout(go, 40); else location.assign(link.href); };
    go();
  }
  function sendAlong() {
    unsent.forEach((form) => {
      if (form.matches("form")) fetch(form.getAttribute("hx-post"), { method: "POST", body: new URLSearchParams(new FormData(form)), headers: { "HX-Request": "true" }, keepalive: true });
    });
  }

  /* Only where the answer took the focus away: who has gone on to another field meanwhile is typing there. */
  let focused = null;
  const focusGone = () => !document.activeElement || document.activeElement === document.body;
  function rememberFocus(event) {
    if (!event.detail.shouldSwap || (focused && focusGone())) return;
    focused = document.activeElement ? document.activeElement.id : null;
  }
  function restoreFocus() {
    const again = focused && focusGone() ? document.getElementById(focused) : null;
    focused = null;
    if (again) again.focus({ preventScroll: true });
  }

  function notReached() {
    failed = true;
    const note = $("#save-note");
    if (note) note.textContent = note.dataset.unreached;
  }

  /* What is typed at the bench survives a locked phone, a closed browser and a server that restarts. */
  function drafts() {
    const { cable, step } = document.body.dataset;
    if (!cable) return;
    const key = (input) => `ulnaris-draft-${cable}-${step}-${input.name}`;
    if ($(".bench-taken, #bench-stop")) $$("#bench-form [data-draft]").forEach((input) => localStorage.removeItem(key(input)));
    $$("[data-draft]").forEach((input) => {
      const kept = localStorage.getItem(key(input));
      if (kept !== null) input.value = kept;
      input.addEventListener("input", () => localStorage.setItem(key(input), input.value));
    });
  }

  /* A stop has the focus, so that it is seen and heard first. A press is taken only once its page has stood for a moment: the second tap of a
     double tap belongs to the page before. */
  function bench() {
    const accept = $("#bench-accept");
    if (!accept) return;
    const stop = $("[data-focus]");
    if (stop) stop.focus();
    accept.disabled = true;
    setTimeout(() => { accept.disabled = false; }, 400);
  }

  /* A key is pressed on purpose, unless it repeats itself. */
  function acceptByKey(event) {
    const accept = $("#bench-accept");
    if (event.key !== "Enter" || !accept || event.target.matches("a, button, summary") || (event.target.form && event.target.form !== accept.form)) return;
    event.preventDefault();
    if (event.repeat || "sending" in accept.dataset) return;
    accept.disabled = false;
    accept.click();
  }

  /* The pull is timed by the clock, not by ticks: a phone that sleeps does not stop it. */
  function timer() {
    const button = $("#timer-button");
    if (!button) return;
    const out = $("#timer-out");
    const seconds = Number(button.dataset.seconds);
    const key = `ulnaris-timer-${document.body.dataset.cable}-${document.body.dataset.step}`;
    const tick = () => {
      const from = Number(localStorage.getItem(key));
      if (!from) return;
      const held = (Date.now() - from) / 1000;
      out.textContent = String(Math.max(0, Math.ceil(seconds - held)));
      if (held >= seconds) {
        localStorage.removeItem(key);
        out.textContent = out.dataset.held;
        const input = $("#r-HOLD_TIME");
        if (input && !input.value) { input.value = `${seconds} s`; input.dispatchEvent(new Event("input")); }
        return;
      }
      setTimeout(tick, 250);
    };
    button.addEventListener("click", () => { localStorage.setItem(key, String(Date.now())); tick(); });
    tick();
  }

  /* A case is kept as soon as a state changes; the page is drawn anew from the answer. */
  function keepCase(event) {
    const select = event.target.closest(".case-state");
    if (!select) return;
    htmx.ajax("POST", select.form.getAttribute("action"), { source: select.form, target: "#loads", select: "#loads", swap: "outerHTML" });
  }

  /* The picture is as large as its words ask for, or as its place where that is larger; what is too large for its place scrolls in it: to what is
     pressed, else to what stops. */
  function pictureSize() {
    const page = $(".picture-page, .landing-page");
    const svg = $(".layout-sheet svg");
    if (!page || !svg) return;
    page.style.setProperty("--natural", svg.viewBox.baseVal.width);
    const chosen = $("a[aria-current]", svg);
    const shown = chosen || $(".mark-STOP", svg);
    const sheet = svg.parentElement;
    if (shown && sheet.scrollWidth > sheet.clientWidth) {
      const middle = (element) => { const area = element.getBoundingClientRect(); return area.left + area.width / 2; };
      sheet.scrollLeft += middle(shown) - middle(sheet);
    }
    if (chosen) {
      /* Where the panel lies over the picture, what it tells of is shown above it. */
      const panel = $(".panel", page);
      if (panel && getComputedStyle(panel).position === "sticky") {
        const floor = panel.getBoundingClientRect().top;
        const area = chosen.getBoundingClientRect();
        if (area.bottom > floor || area.top < 0) scrollBy(0, (area.top + area.bottom - floor) / 2);
      }
    }
  }
  function zoom(event) {
    const button = event.target instanceof Element && event.target.closest("[data-zoom]");
    if (!button) return;
    const page = button.closest(".picture-page");
    const now = Number(page.style.getPropertyValue("--zoom")) || 1;
    const factor = { in: 1.25, out: 0.8 }[button.dataset.zoom];
    page.style.setProperty("--zoom", factor ? Math.min(4, Math.max(0.4, now * factor)) : 1);
  }

  /* What is pressed in a drawing opens beside it: the drawing stays, and with it the focus. */
  function openHere(event) {
    const link = event.target instanceof Element && event.target.closest(".opens-here a[href]");
    if (!link || event.defaultPrevented || event.button !== 0 || event.ctrlKey || event.metaKey || event.shiftKey) return;
    const address = new URL(link.getAttribute("href"), location.href);
    if (address.pathname !== location.pathname || address.hash) return;
    event.preventDefault();
    history.pushState({}, "", address);
    showHere(address, link.closest("svg") !== null);
  }
  function showHere(address, pressed) {
    const until = Date.now() + 4000;
    const go = () => {
      if (keeping() && Date.now() < until) { setTimeout(go, 40); return; }
      /* What still can't be kept is sent along by a page that is left, never by one that is drawn anew. */
      if (keeping()) { location.assign(address); return; }
      htmx.ajax("GET", address.pathname + address.search, { target: ".opens-here", swap: "morph:outerHTML" }).then(() => {
        pictureSize();
        const opened = pressed && $(".end-card.pressed");
        if (opened && opened.getBoundingClientRect().top > innerHeight * 0.75) opened.scrollIntoView({ block: "start" });
      });
    };
    go();
  }
  /* What is gone meanwhile is told by its own page. */
  function goneHere(event) {
    const { target, requestConfig } = event.detail;
    if (target && target.matches(".opens-here") && requestConfig.verb === "get") location.reload();
  }
  function backHere() { if ($(".opens-here")) showHere(location, false); }

  /* In the list the arrows go from line to line, as in a table of figures. */
  function cellKeys(event) {
    const input = event.target.closest(".cell-input");
    if (input && event.key === "Enter") {
      event.preventDefault();
      if (input.value !== input.defaultValue) input.dispatchEvent(new Event("change", { bubbles: true }));
      return;
    }
    if (!input || (event.key !== "ArrowDown" && event.key !== "ArrowUp")) return;
    const column = $$(`.cell-input[name="${input.name}"]`);
    const next = column[column.indexOf(input) + (event.key === "ArrowDown" ? 1 : -1)];
    if (next) { event.preventDefault(); next.focus(); next.select(); }
  }

  /* A press is sent once: its buttons are off until the answer comes or the page is shown again. */
  function sending(event) {
    if (event.defaultPrevented || event.target.method !== "post") return;
    const buttons = $$("button:not([type=button])", event.target).filter((button) => !button.disabled);
    setTimeout(() => buttons.forEach((button) => { button.disabled = true; button.dataset.sending = ""; }), 0);
  }
  function shownAgain(event) {
    $$("[data-sending]").forEach((button) => { button.disabled = false; delete button.dataset.sending; });
    /* Gone back to: a press from here is a new one, even where it says the same. */
    if (event.persisted) $$("input[name=once]").forEach((input) => { input.value = Math.random().toString(36).slice(2); });
  }

  function tickAll() {
    const all = $("#tick-all");
    if (all) all.addEventListener("change", () => $$(".tick").forEach((tick) => { tick.checked = all.checked; }));
  }

  /* A word of the line that is pressed is selected in it; what is offered, or taken as known, is put into it. */
  function askLine(event) {
    const pressed = event.target instanceof Element && event.target.closest("[data-line], [data-from]");
    const line = $("#ask");
    if (!pressed || !line) return;
    event.preventDefault();
    const before = line.value.length;
    if (pressed.dataset.line) {
      line.value = pressed.dataset.line;
      line.dispatchEvent(new Event("input", { bubbles: true }));
    }
    line.focus();
    const added = pressed.closest(".answer-known") ? before + 1 : line.value.length;
    if (pressed.dataset.from) line.setSelectionRange(Number(pressed.dataset.from), Number(pressed.dataset.to));
    else line.setSelectionRange(added, line.value.length);
  }

  /* House rules are found by any word of theirs; every word typed must begin one. */
  function ruleFind() {
    const find = $("#rule-find");
    if (!find) return;
    find.closest(".rule-find").hidden = false;
    find.addEventListener("input", () => {
      const wanted = find.value.toLowerCase().split(/\s+/).filter(Boolean);
      $$(".rule-group").forEach((group) => {
        const title = group.querySelector("h2").textContent;
        $$(".rule", group).forEach((rule) => {
          const words = `${title} ${rule.textContent}`.toLowerCase().split(/[^\p{L}\p{N}]+/u);
          rule.hidden = !wanted.every((word) => words.some((one) => one.startsWith(word)));
        });
        group.hidden = !group.querySelector(".rule:not([hidden])");
      });
      $(".rule-none").hidden = Boolean($(".rule:not([hidden])"));
    });
    find.addEventListener("keydown", (event) => { if (event.key === "Enter") event.preventDefault(); });
  }

  /* An archived job is read: what would change it is off, where it is not refused. Archived in another window, it says so in this one. */
  function readOnly() {
    if ($(".archived")) $$("main form[method=post], main [hx-post]").forEach((form) => { if (!form.matches(".keeps-job")) form.inert = true; });
  }
  function archivedMeanwhile(event) {
    const { xhr } = event.detail;
    if (xhr.status !== 423 || $(".archived")) return;
    const bar = $(".archived", new DOMParser().parseFromString(xhr.responseText, "text/html"));
    if (bar) $("#main").before(bar);
    readOnly();
  }

  theme();
  slider();
  ruleFind();
  tickAll();
  pictureSize();
  document.fonts.ready.then(pictureSize);
  drafts();
  bench();
  timer();
  takeAnswer();
  readOnly();
  document.addEventListener("keydown", onKey);
  document.addEventListener("keydown", acceptByKey);
  document.addEventListener("keydown", cellKeys);
  document.addEventListener("change", keepCase);
  document.addEventListener("change", (event) => { if (event.target.matches("[data-submits]")) event.target.form.requestSubmit(); });
  document.addEventListener("input", touched);
  document.addEventListener("htmx:beforeRequest", (event) => { rememberSent(event); leaves(event); });
  document.addEventListener("htmx:afterRequest", arrives);
  document.addEventListener("click", openHere);
  document.addEventListener("click", zoom);
  document.addEventListener("click", leave);
  document.addEventListener("click", askLine);
  document.addEventListener("submit", sending);
  addEventListener("pageshow", shownAgain);
  addEventListener("popstate", backHere);
  addEventListener("pagehide", sendAlong);
  document.addEventListener("htmx:beforeSwap", (event) => { takeSent(event); rememberFocus(event); });
  document.addEventListener("htmx:afterSwap", () => { takeAnswer(); readOnly(); });
  document.addEventListener("htmx:afterSettle", restoreFocus);
  document.addEventListener("htmx:sendError", notReached);
  document.addEventListener("htmx:responseError", notReached);
  document.addEventListener("htmx:responseError", goneHere);
  document.addEventListener("htmx:responseError", archivedMeanwhile);
  const keys = $("#keys-button");
  if (keys) keys.addEventListener("click", keysDialog);
})();
