// Dragging a cut weighs the pieces beside it anew, from the profile the server sent.

const LEAST_PIXELS = 12;
const ROOM_FOR_WORDS = 82;
const ROOM_FOR_A_FIGURE = 30;
const GRAMS_AN_OUNCE = 28.349523125;

const fillet = document.getElementById("fillet");
const restore = document.getElementById("restore");
const undo = [];

function words(grams, pixels) {
  if (fillet.dataset.ounces) return pixels >= ROOM_FOR_WORDS ? `≈ ${(grams / GRAMS_AN_OUNCE).toFixed(1)} oz` : "";
  const mass = Math.round(grams);
  return pixels >= ROOM_FOR_WORDS ? `≈ ${mass} g` : pixels >= ROOM_FOR_A_FIGURE ? mass : "";
}

function lane(group) {
  const before = group.dataset.before.split(" ").map(Number);
  const grams = Number(group.dataset.grams);
  const left = Number(group.dataset.left);
  const right = Number(group.dataset.right);
  const knives = [...group.querySelectorAll(".knife")];
  const labels = [...group.querySelectorAll(".piece-grams")];
  const first = labels.map((label) => [label.textContent, label.getAttribute("x")]);
  const places = knives.map((knife) => Number(knife.dataset.x));

  const share = (x) => {
    const place = Math.max(0, Math.min(1, (x - left) / (right - left))) * (before.length - 1);
    const index = Math.min(before.length - 2, Math.floor(place));
    return before[index] + (place - index) * (before[index + 1] - before[index]);
  };
  const weigh = (piece) => {
    const from = piece === 0 ? left : places[piece - 1];
    const to = piece === places.length ? right : places[piece];
    labels[piece].textContent = words((share(to) - share(from)) * grams, to - from);
    labels[piece].setAttribute("x", (from + to) / 2);
  };
  const put = (i, x) => {
    const least = (i === 0 ? left : places[i - 1]) + LEAST_PIXELS;
    const most = (i === places.length - 1 ? right : places[i + 1]) - LEAST_PIXELS;
    places[i] = Math.max(least, Math.min(most, x));
    knives[i].setAttribute("transform", `translate(${places[i]} 0)`);
    weigh(i);
    weigh(i + 1);
    restore.hidden = false;
  };

  knives.forEach((knife, i) => {
    knife.addEventListener("pointerdown", (event) => knife.setPointerCapture(event.pointerId));
    knife.addEventListener("pointermove", (event) => {
      if (!knife.hasPointerCapture(event.pointerId)) return;
      const box = fillet.getBoundingClientRect();
      put(i, ((event.clientX - box.left) / box.width) * fillet.viewBox.baseVal.width);
    });
  });
  undo.push(() => {
    knives.forEach((knife, i) => {
      places[i] = Number(knife.dataset.x);
      knife.setAttribute("transform", `translate(${places[i]} 0)`);
    });
    labels.forEach((label, i) => {
      label.textContent = first[i][0];
      label.setAttribute("x", first[i][1]);
    });
  });
}

if (fillet) {
  fillet.querySelectorAll(".cut-lane").forEach(lane);
  restore.addEventListener("click", () => {
    undo.forEach((one) => one());
    restore.hidden = true;
  });
}
