import { cardPage, keptTitle } from "../../../kept";

export const generateMetadata = keptTitle("versions", "card");
export default cardPage("versions");
