import localFont from "next/font/local";

/** Anek Latin with its weight and width axes, asked for before the styles are read, so that no line moves when it comes. */
export const anekLatin = localFont({
  src: "../../node_modules/@fontsource-variable/anek-latin/files/anek-latin-latin-standard-normal.woff2",
  weight: "100 800",
  style: "normal",
  declarations: [{ prop: "font-stretch", value: "75% 125%" }],
  variable: "--font-anek",
  display: "optional",
});
