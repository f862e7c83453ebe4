/** The places of the house, in the order of the spine; `key` goes there after "g". */
export const PLACES = [
  { id: "kitchen", href: "/", name: "Kitchen", key: "k", here: (path: string) => path === "/" || path.startsWith("/batches") },
  { id: "recipes", href: "/recipes", name: "Recipes", key: "r", here: (path: string) => path.startsWith("/recipes") || path.startsWith("/versions") },
  { id: "pantry", href: "/pantry", name: "Pantry", key: "p", here: (path: string) => path.startsWith("/pantry") },
  { id: "household", href: "/household", name: "Household", key: "h", here: (path: string) => path.startsWith("/household") },
] as const;
export type PlaceId = (typeof PLACES)[number]["id"];
