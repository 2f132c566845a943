import { supplierName } from "../../../work/supplier.js";
import { useAwaited } from "../../../session/useAwaited.js";

/** Whom one can order from through the program: undefined until it is known, null where nobody is there. */
export function useSupplier(): string | null | undefined {
  const found = useAwaited(supplierName);
  if (found.code === "waiting") return undefined;
  return found.code === "here" ? found.value : null;
}
