// Keeps ops in the browser's own database: a reload, a closed browser or a dead server loses none.

let opened = null;
const database = () => {
  opened ??= new Promise((resolve, reject) => {
    const request = indexedDB.open("mosaic-bench", 1);
    request.onupgradeneeded = () => request.result.createObjectStore("ops", { keyPath: "seq", autoIncrement: true });
    request.onsuccess = () => resolve(request.result);
    request.onerror = () => reject(request.error);
  });
  return opened;
};
const run = async (mode, work) => {
  const db = await database();
  return new Promise((resolve, reject) => {
    // strict: on the disk before it counts as kept
    const transaction = db.transaction("ops", mode, { durability: "strict" });
    const request = work(transaction.objectStore("ops"));
    transaction.oncomplete = () => resolve(request.result);
    transaction.onerror = transaction.onabort = () => reject(transaction.error);
  });
};

/** The store of this browser; add answers with the number of the op in order. */
export const browserStore = {
  all: () => run("readonly", (ops) => ops.getAll()),
  add: (op) => run("readwrite", (ops) => ops.add(op)),
  put: (op) => run("readwrite", (ops) => ops.put(op)),
  remove: (seq) => run("readwrite", (ops) => ops.delete(seq)),
};
