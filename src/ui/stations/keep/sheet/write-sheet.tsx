import { renderToStaticMarkup } from "react-dom/server";
import type { SharedSweet } from "../../../../core/exchange";
import { SheetPage } from "./sheet";

/** Text in base64, whatever letters it has. */
function base64(text: string): string {
  let binary = "";
  for (const byte of new TextEncoder().encode(text)) binary += String.fromCharCode(byte);
  return btoa(binary);
}

/** A sweet as one HTML file. */
export const writeSheet = (sweet: SharedSweet, file: object): string =>
  `<!doctype html>\n${renderToStaticMarkup(<SheetPage sweet={sweet} data={base64(JSON.stringify(file))} />)}\n`;
