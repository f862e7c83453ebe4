import type { NextConfig } from "next";

const config: NextConfig = {
  serverExternalPackages: ["@electric-sql/pglite", "highs", "pino"],
  reactCompiler: true,
  poweredByHeader: false,
  devIndicators: false,
  // A page comes with its title, not a moment before it.
  htmlLimitedBots: /.*/,
  // A backup comes in as one file; every other request is limited to far less at its own door.
  experimental: { proxyClientMaxBodySize: "64mb" },
};

export default config;
