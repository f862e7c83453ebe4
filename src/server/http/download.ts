/** A file to keep, named by its title; `plain` is its name where a browser takes no other letters. */
export function download(body: string, title: string, plain: string, { type, ending }: { readonly type: string; readonly ending: string }): Response {
  const name =
    title
      .replace(/[^\p{L}\p{N}]+/gu, "-")
      .replace(/^-|-$/g, "")
      .slice(0, 80) || plain;
  return new Response(body, {
    headers: {
      "content-type": `${type}; charset=utf-8`,
      "content-disposition": `attachment; filename="${plain}.${ending}"; filename*=UTF-8''${encodeURIComponent(name)}.${ending}`,
      "cache-control": "no-store",
    },
  });
}
