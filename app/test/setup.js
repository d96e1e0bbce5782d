require('fake-indexeddb/auto');
const { webcrypto } = require('node:crypto');
const { TextDecoder, TextEncoder } = require('node:util');
const { structuredClone: clone } = globalThis;

// jsdom lacks these; every browser we run in has them.
Object.assign(globalThis, {
  TextDecoder,
  TextEncoder,
  structuredClone: clone ?? ((value) => JSON.parse(JSON.stringify(value))),
});
if (!globalThis.crypto?.subtle) Object.defineProperty(globalThis, 'crypto', { value: webcrypto });
AbortSignal.timeout ??= () => new AbortController().signal;
Element.prototype.scrollIntoView ??= () => undefined;

// The browser's own dialog: opened and closed, no more.
HTMLDialogElement.prototype.showModal ??= function () {
  this.open = true;
};
HTMLDialogElement.prototype.close ??= function () {
  this.open = false;
  this.dispatchEvent(new Event('close'));
};

URL.createObjectURL ??= () => 'blob:test';

// Layout does not happen in jsdom: everything that measures itself is as wide as a phone.
class Observer {
  constructor(callback) {
    this.callback = callback;
  }
  observe(target) {
    setTimeout(() => this.callback([{ target, contentRect: { width: 390, height: 400 } }]), 0);
  }
  unobserve() {}
  disconnect() {}
}
globalThis.ResizeObserver = Observer;
for (const [name, size] of [
  ['offsetWidth', 390],
  ['offsetHeight', 400],
])
  Object.defineProperty(HTMLElement.prototype, name, { configurable: true, get: () => size });

const warn = console.warn;
console.warn = (...args) => (/useNativeDriver/.test(String(args[0])) ? undefined : warn(...args));
