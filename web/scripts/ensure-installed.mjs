// Installs the packages of the lock file when they are not there or the lock file has changed.
// `npm ci` would refuse a lock file that leaves out tools built for other systems; `npm install` takes the
// same versions from it and leaves the file as it is.
import { execFileSync } from "node:child_process";
import { createHash } from "node:crypto";
import { existsSync, readFileSync, writeFileSync } from "node:fs";

const stamp = "node_modules/.snikra-lock";
const lock = createHash("sha256").update(readFileSync("package-lock.json")).digest("hex");
if (!existsSync(stamp) || readFileSync(stamp, "utf8") !== lock) {
  execFileSync("npm", ["install", "--no-save", "--no-audit", "--no-fund", "--loglevel=error"], {
    stdio: "inherit",
  });
  writeFileSync(stamp, lock);
}
