/** Light or dark by hand; "system" follows the device. A cookie, so that the page comes up right at once. */
export const THEMES = ["system", "light", "dark"] as const;
export type Theme = (typeof THEMES)[number];
export const THEME_COOKIE = "theme";

export const themeOf = (value: string | undefined): Theme => THEMES.find((theme) => theme === value) ?? "system";

const YEAR_SECONDS = 31_536_000;

/** Puts a theme on the page as it stands, and keeps it for the pages to come. */
export function applyTheme(theme: Theme): void {
  document.documentElement.dataset.theme = theme;
  document.cookie = `${THEME_COOKIE}=${theme}; path=/; max-age=${theme === "system" ? 0 : YEAR_SECONDS}; samesite=lax`;
}
