/** The places of the house, in the order of the spine; `key` goes there after "g". */
export const PLACES = [
  { id: "kitchen", href: "/", name: "Kitchen", key: "k", here: (path: string) => path === "/" },
  { id: "recipes", href: "/recipes", name: "Recipes", key: "r", here: (path: string) => path.startsWith("/recipes") || path.startsWith("/versions") },
  { id: "pantry", href: "/pantry", name: "Pantry", key: "p", here: (path: string) => path.startsWith("/pantry") },
  { id: "plan", href: "/plan", name: "Plan", key: "a", here: (path: string) => path.startsWith("/plan") },
  {
    id: "logbook",
    href: "/logbook",
    name: "Logbook",
    key: "l",
    here: (path: string) => ["/logbook", "/batches", "/triangles", "/practice"].some((each) => path.startsWith(each)),
  },
  { id: "household", href: "/household", name: "Household", key: "h", here: (path: string) => path.startsWith("/household") },
] as const;
export type PlaceId = (typeof PLACES)[number]["id"];
