// Started on every page: it starts what the page asks for by data- attributes, and answers the keys of all pages.

const starts = {
  "[data-ribbon]": () => import("./ribbon.js"),
  "[data-curves]": () => import("./curve.js"),
  "[data-bench]": () => import("./bench/bench.js"),
  "[data-waiting]": () => import("./bench/waiting-page.js"),
  "[data-round]": () => import("./round/round.js"),
  "[data-typed]": () => import("./refill.js"),
  "[data-live-form]": () => import("./live-form.js"),
  "[data-kind-form]": () => import("./kind.js"),
  "[data-family]": () => import("./family.js"),
  "[data-start-or-take]": () => import("./start-or-take.js"),
  "[data-build-up]": () => import("./build-up.js"),
  "[data-find]": () => import("./find.js"),
  "[data-zone]": () => import("./zone.js"),
  "[data-rest]": () => import("./rest.js"),
  "[data-narrow]": () => import("./narrow.js"),
  "[data-progress]": () => import("./progress.js"),
  "[data-photo-form], [data-photo-slider]": () => import("./photo.js"),
  "[data-bench-map]": () => import("./benchmap/map.js"),
  "[data-divide], [data-divide-picture]": () => import("./divide/divide.js"),
  "[data-air]": () => import("./air.js"),
  "[data-trial-size]": () => import("./trial-size.js"),
  "[data-copy]": () => import("./copies.js"),
  "[data-shows]": () => import("./shows.js"),
};

// Timers count on every page; what starts one needs them first.
const strip = document.querySelector("[data-timers]");
if (strip) {
  import("./timers.js").then((timers) => {
    timers.start(strip);
    document.querySelectorAll("form[data-timer-start]").forEach((form) => timers.startForm(form));
    document.querySelectorAll("[data-timer-now]").forEach((button) => timers.startButton(button));
  });
}

for (const [selector, load] of Object.entries(starts)) {
  const found = document.querySelectorAll(selector);
  if (found.length > 0) {
    load().then((module) => found.forEach((element) => module.start(element)));
  }
}

/** A pressed number opens its working in the margin. */
function tell(id) {
  const working = document.getElementById(id);
  if (!(working instanceof HTMLDetailsElement)) {
    return;
  }
  document.querySelectorAll("details.told").forEach((d) => d.classList.remove("told"));
  working.open = true;
  working.classList.add("told");
  working.querySelector("summary").focus({ preventScroll: false });
}

document.addEventListener("click", (event) => {
  const link = event.target.closest("a.num");
  if (link) {
    event.preventDefault();
    tell(link.hash.slice(1));
  }
});

const typing = (element) => element.closest("input, select, textarea, [contenteditable]") !== null;

document.addEventListener("keydown", (event) => {
  if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) {
    return;
  }
  if (typing(event.target) || document.querySelector("[data-bench]")) {
    return;
  }
  const place = document.querySelector(`[data-key="${CSS.escape(event.key)}"]`);
  if (place) {
    event.preventDefault();
    place.click();
  } else if (event.key === "?") {
    const keys = document.getElementById("keys");
    if (keys) {
      keys.open = !keys.open;
      keys.querySelector("summary").focus();
    }
  }
});

if ("serviceWorker" in navigator && document.body.dataset.worker === "yes") {
  navigator.serviceWorker.register("/worker.js");
}

// Checks that wait in this browser for the person who is signed in are sent from whatever page is open.
if (document.body.dataset.worker === "yes" && !document.querySelector("[data-bench]")) {
  import("./bench/waiting.js").then((waiting) => waiting.keepSending(document.body.dataset.owner));
}

// Pages kept for work without a connection go when their owner goes.
if (document.body.dataset.worker === "no" && "caches" in window) {
  caches.delete("vivarium-bench-1");
}
