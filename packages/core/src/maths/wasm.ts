/** The parts of the WebAssembly interface that are used here (W3C WebAssembly JavaScript Interface 1.0). */
interface WebAssemblyInterface {
  Module: new (bytes: Uint8Array) => object;
  Instance: new (module: object, imports: object) => { readonly exports: unknown };
}
declare const WebAssembly: WebAssemblyInterface;
declare const atob: (base64: string) => string;

/** Memory that a kernel works in; pages of 64 KiB. */
export interface KernelMemory {
  readonly memory: { readonly buffer: ArrayBuffer; grow(pages: number): number };
}

const PAGE = 65536;

/** Compiles an embedded kernel; each call of what is answered makes an instance with a memory of its own. */
export function compileKernel<K extends KernelMemory>(base64: string, name: string): () => K {
  let compiled: object | undefined;
  return () => {
    compiled ??= new WebAssembly.Module(Uint8Array.from(atob(base64), (c) => c.charCodeAt(0)));
    const abort = () => {
      throw new Error(`The ${name} kernel stopped`);
    };
    return new WebAssembly.Instance(compiled, { env: { abort } }).exports as K;
  };
}

/** Makes sure that a kernel's memory holds so many bytes. */
export function growTo({ memory }: KernelMemory, bytes: number): void {
  const missing = bytes - memory.buffer.byteLength;
  if (missing > 0) memory.grow(Math.ceil(missing / PAGE));
}
