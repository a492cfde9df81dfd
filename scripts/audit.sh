#!/usr/bin/env bash
# Asks whether anything is known against a package the product uses. Ends with 0 where nothing is, 1 where something is,
# and 2 where the advisories cannot be had: that is no clean bill.
set -u
cd "$(dirname "$(readlink -f "$0")")/.." || exit 1
. scripts/common.sh

found=0
unknown=0

# Without a database of advisories behind the source the list is empty, and empty is not clean.
has_advisories() {
  local source
  source=$(dotnet nuget list source --format short | awk '/^E/ { print $2; exit }')
  curl -fsS -m 20 "$source" 2>/dev/null | grep -q VulnerabilityInfo
}

audit_nuget() {
  local said
  if ! has_advisories; then
    say 'NuGet: advisories cannot be had here.'
    unknown=1
    return
  fi
  said=$(dotnet list Umbracell.slnx package --vulnerable --include-transitive 2>&1)
  if grep -q 'has the following vulnerable' <<<"$said"; then
    printf '%s\n' "$said"
    found=1
  elif grep -q 'no vulnerable packages' <<<"$said"; then
    say 'NuGet: nothing known.'
  else
    say 'NuGet: advisories cannot be had here.'
    unknown=1
  fi
}

audit_npm() {
  local dir=$1 said
  said=$(cd "$dir" && npm audit --json 2>/dev/null)
  if ! node -e 'process.exit(JSON.parse(require("fs").readFileSync(0)).metadata ? 0 : 1)' <<<"$said" 2>/dev/null; then
    say "npm, $dir: advisories cannot be had here."
    unknown=1
  elif [ "$(node -p 'JSON.parse(require("fs").readFileSync(0)).metadata.vulnerabilities.total' <<<"$said")" -gt 0 ]; then
    (cd "$dir" && npm audit)
    found=1
  else
    say "npm, $dir: nothing known."
  fi
}

need_toolchain
audit_nuget
audit_npm web
audit_npm tests/e2e
[ "$found" -eq 0 ] || exit 1
[ "$unknown" -eq 0 ] || exit 2
