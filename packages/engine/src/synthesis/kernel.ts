import { compileKernel, type KernelMemory } from '@urbild/core';
import { KERNEL_WASM } from './kernel.generated';

/**
 * The patch matching kernel: functions over one linear memory. Addresses are bytes; a pixel is four 32-bit floats. See
 * kernel/patchmatch.ts for what each argument is.
 */
export interface PatchKernel extends KernelMemory {
  seed(x: number): void;
  run(...args: readonly number[]): void;
  vote(...args: readonly number[]): void;
}

/** A fresh instance of the SIMD kernel with a memory of its own. */
export const createWasmKernel: () => PatchKernel = compileKernel<PatchKernel>(KERNEL_WASM, 'patch');

let shared: PatchKernel | undefined;

/**
 * The instance of this thread: its memory is used again, for the memory of instances that are thrown away comes back late. Matching
 * begins with {@link PatchLevel (patchLevel.ts)}, which clears what it uses.
 */
export const threadKernel = (): PatchKernel => (shared ??= createWasmKernel());
