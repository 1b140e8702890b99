import { KERNEL_WASM } from './kernel.generated';

/**
 * The patch matching kernel: functions over one linear memory. Addresses are bytes; a pixel is four 32-bit floats. See
 * kernel/patchmatch.ts for what each argument is.
 */
export interface PatchKernel {
  readonly memory: { readonly buffer: ArrayBuffer; grow(pages: number): number };
  seed(x: number): void;
  run(...args: readonly number[]): void;
  vote(...args: readonly number[]): void;
}

/** The parts of the WebAssembly interface that are used here (W3C WebAssembly JavaScript Interface 1.0). */
interface WebAssemblyInterface {
  Module: new (bytes: Uint8Array) => object;
  Instance: new (module: object, imports: object) => { readonly exports: unknown };
}
declare const WebAssembly: WebAssemblyInterface;

let compiled: object | undefined;

/** A fresh instance of the SIMD kernel with a memory of its own. */
export function createWasmKernel(): PatchKernel {
  compiled ??= new WebAssembly.Module(Uint8Array.from(atob(KERNEL_WASM), (c) => c.charCodeAt(0)));
  const abort = () => {
    throw new Error('The patch kernel stopped');
  };
  return new WebAssembly.Instance(compiled, { env: { abort } }).exports as PatchKernel;
}
