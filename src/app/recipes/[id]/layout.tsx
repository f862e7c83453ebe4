import type { ReactNode } from "react";
import { SavingProvider } from "@/ui/shell/saving";

export default function Layout({ children }: { readonly children: ReactNode }) {
  return <SavingProvider>{children}</SavingProvider>;
}
