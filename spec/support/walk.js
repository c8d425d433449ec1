// What is wrong with a page as it lies in its window: asked at each width that a page is used at.
const root = document.documentElement;
const width = root.clientWidth;
const height = window.innerHeight;
const told = (one) =>
  `${one.localName}${one.className && typeof one.className === "string" ? `.${one.className.trim().split(/\s+/).slice(0, 3).join(".")}` : ""} “${(one.getAttribute("aria-label") || one.textContent || "").trim().slice(0, 40)}”`;
const seen = (one) =>
  one.checkVisibility({ opacityProperty: true, visibilityProperty: true }) &&
  one.getBoundingClientRect().width > 1 &&
  one.getBoundingClientRect().height > 1 &&
  // What is there for listening alone, what comes with the first key, and what lies behind a layer is not seen.
  !one.closest(".visually-hidden, .visually-hidden-focusable, .skip, [inert]");
const scrolls = (one) =>
  one &&
  (/auto|scroll|hidden|clip/.test(getComputedStyle(one).overflowX) ||
    scrolls(one.parentElement));
const faults = [];

if (root.scrollWidth > width)
  faults.push(`wider than the window by ${root.scrollWidth - width}`);

for (const one of document.querySelectorAll("#app *")) {
  const box = one.getBoundingClientRect();
  if (
    box.width > 0 &&
    (box.right > width + 1 || box.left < -1) &&
    seen(one) &&
    !scrolls(one.parentElement)
  )
    faults.push(`outside: ${told(one)}`);
}

// A control that lies under something else cannot be pressed.
const CONTROLS =
  "#app a[href], #app button, #app input:not([type=hidden]), #app select, #app textarea, #app summary";
const scrollsDown = (one) =>
  one &&
  one !== document.body &&
  (/auto|scroll/.test(
    getComputedStyle(one).overflowY + getComputedStyle(one).overflowX,
  )
    ? one
    : scrollsDown(one.parentElement));
for (const one of document.querySelectorAll(CONTROLS)) {
  if (!seen(one) || getComputedStyle(one).pointerEvents === "none") continue;
  if (scrollsDown(one.parentElement)) continue;
  one.scrollIntoView({
    block: "center",
    inline: "nearest",
    behavior: "instant",
  });
  const box = one.getClientRects()[0];
  const [x, y] = [box.left + box.width / 2, box.top + box.height / 2];
  if (x < 0 || x > width || y < 0 || y > height) {
    faults.push(`out of reach: ${told(one)}`);
    continue;
  }
  const at = document.elementFromPoint(x, y);
  const label = one.labels?.[0];
  if (at && !one.contains(at) && !at.contains(one) && !label?.contains(at))
    faults.push(`covered by ${told(at)}: ${told(one)}`);
}
window.scrollTo(0, 0);

// Words that are cut short say the rest in a title.
for (const one of document.querySelectorAll("#app *, #app svg text")) {
  if (!seen(one)) continue;
  const style = getComputedStyle(one);
  if (
    style.textOverflow === "ellipsis" &&
    one.scrollWidth > one.clientWidth + 1 &&
    !one.closest("[title]")
  )
    faults.push(`cut: ${told(one)}`);
}

// Words of a drawing that lie over each other.
for (const drawing of document.querySelectorAll("#app svg")) {
  if (!seen(drawing)) continue;
  const words = [...drawing.querySelectorAll("text")].filter(
    (one) => one.textContent.trim().length > 2 && seen(one),
  );
  words.forEach((one, at) =>
    words.slice(at + 1).forEach((other) => {
      const [a, b] = [
        one.getBoundingClientRect(),
        other.getBoundingClientRect(),
      ];
      const across = Math.min(a.right, b.right) - Math.max(a.left, b.left);
      const down = Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top);
      if (across > 2 && down > Math.min(a.height, b.height) / 3)
        faults.push(
          `over each other: “${one.textContent.trim()}” and “${other.textContent.trim()}”`,
        );
    }),
  );
}

// One main part, and headings that leave out no level.
const mains = [...document.querySelectorAll("main")].filter((one) =>
  one.checkVisibility(),
);
if (mains.length !== 1) faults.push(`${mains.length} main parts`);
const levels = [...document.querySelectorAll("h1, h2, h3, h4, h5, h6")]
  .filter((one) => one.checkVisibility())
  .map((one) => +one.localName[1]);
if (levels.filter((level) => level === 1).length !== 1)
  faults.push(`${levels.filter((level) => level === 1).length} first headings`);
levels.forEach(
  (level, at) =>
    at &&
    level > levels[at - 1] + 1 &&
    faults.push(
      `a heading of level ${level} under one of level ${levels[at - 1]}`,
    ),
);

return [...new Set(faults)].slice(0, 12);
