// Opens an item by the tablet's camera, where the browser itself reads square codes.

const LOOK_MILLIS = 250;

const button = document.getElementById("camera");
const picture = document.getElementById("camera-picture");
const field = document.getElementById("code");

const look = async (detector, stream) => {
  if (!stream.active) return;
  const [found] = await detector.detect(picture).catch(() => []);
  if (!found) {
    setTimeout(() => look(detector, stream), LOOK_MILLIS);
    return;
  }
  stream.getTracks().forEach((track) => track.stop());
  field.value = found.rawValue;
  field.form.requestSubmit();
};

const open = async () => {
  const stream = await navigator.mediaDevices.getUserMedia({ video: { facingMode: "environment" } }).catch(() => null);
  if (!stream) return; // no camera, or nobody allowed it: the code can be typed
  picture.srcObject = stream;
  picture.hidden = false;
  await picture.play();
  look(new window.BarcodeDetector({ formats: ["qr_code"] }), stream);
};

if (button && "BarcodeDetector" in window && navigator.mediaDevices) {
  button.hidden = false;
  button.addEventListener("click", open);
}
