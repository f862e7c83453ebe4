/** The house's sign: a hand-scale at rest. */
export function ScaleMark({ width = 44 }: { readonly width?: number }) {
  return (
    <svg width={width} height={(width * 26) / 44} viewBox="0 0 44 26" aria-hidden="true" fill="none" strokeWidth="1.3">
      <path d="M22 1v5M3 8c8-2.6 30-2.6 38 0" stroke="#d9b45c" strokeWidth="1.8" />
      <path d="M22 5v5" stroke="#d9b45c" />
      <path d="M7 7.5 2 18M7 7.5 12 18M37 7.5 32 18M37 7.5 42 18" stroke="#aeb9e4" strokeWidth=".9" />
      <path d="M1 18h12c-1.4 4.6-10.600 4.6-12 0ZM31 18h12c-1.400 4.600-10.600 4.600-12 0Z" fill="#f5f7f8" stroke="none" />
    </svg>
  );
}
