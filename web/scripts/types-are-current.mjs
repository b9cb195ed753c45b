// Fails when the types in src/api/schema.d.ts are not those of docs/formats/openapi.json.
import { readFileSync } from "node:fs";
import openapiTS, { astToString } from "openapi-typescript";

const made = astToString(await openapiTS(new URL("../../docs/formats/openapi.json", import.meta.url)));
const kept = readFileSync(new URL("../src/api/schema.d.ts", import.meta.url), "utf8");
const bare = (text) => text.replace(/^\/\*\*[\s\S]*?\*\/\s*/, "").trim();
if (bare(made) !== bare(kept)) {
  console.error(
    "src/api/schema.d.ts is not made from docs/formats/openapi.json: run `npm run types` in web/.",
  );
  process.exit(1);
}
