# shellcheck shell=bash
# Shared by run and test: one clear sentence on failure, tools from Debian, builds that are skipped when nothing changed.

fail() {
  printf 'Umbracell: %s\n' "$1" >&2
  exit 1
}

say() { printf '%s\n' "$1"; }

need_tool() { command -v "$1" >/dev/null 2>&1 || fail "$2"; }

need_toolchain() {
  need_tool dotnet 'the .NET SDK 10 is missing: install it so that "dotnet" is on the PATH.'
  need_tool node 'Node.js 20 or newer is missing: install it so that "node" is on the PATH.'
  need_tool npm 'npm is missing: install it with Node.js.'
  dotnet --list-sdks 2>/dev/null | grep -q '^10\.' || fail 'the .NET SDK is there but not version 10.'
  [ "$(node -p 'process.versions.node.split(".")[0]')" -ge 20 ] || fail "Node.js $(node --version) is too old: 20 or newer is needed."
}

# install_package PACKAGE WHAT: from Debian, as root; anyone else is told the one command.
install_package() {
  if [ "$(id -u)" -ne 0 ]; then
    fail "$2 is missing: run \"apt-get install $1\" as root once, then start again."
  fi
  need_tool apt-get "$2 is missing and this machine has no apt-get to install it with."
  say "Installing $1 from Debian ..."
  { apt-get update -qq && DEBIAN_FRONTEND=noninteractive apt-get install -y -qq "$1"; } >/tmp/umbracell-apt.$$ 2>&1 ||
    fail "$2 could not be installed from Debian: $(tail -n 1 /tmp/umbracell-apt.$$)"
  rm -f /tmp/umbracell-apt.$$
}

# The letters of papers, and those for what they lack.
find_fonts() {
  [ -f /usr/share/fonts/opentype/unifont/unifont.otf ] || install_package fonts-unifont 'The font Unifont'
  [ -f /usr/share/fonts/truetype/dejavu/DejaVuSans-Bold.ttf ] || install_package fonts-dejavu-core 'The font DejaVu Sans'
}

# Marks and names of the reader's language; PostgreSQL brings them along where it comes from Debian too.
find_languages() {
  compgen -G '/usr/lib/*/libicuuc.so.*' >/dev/null || install_package libicu72 'ICU (libicu)'
}

# need_space DIR MEGABYTES
need_space() {
  local free
  free=$(df -Pm "$1" 2>/dev/null | awk 'NR==2 {print $4}')
  if [ "${free:-0}" -lt "$2" ]; then fail "the disk that holds $1 is full: ${free:-0} MB are free, $2 MB are needed."; fi
}

port_taken() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

# first_free_port FROM
first_free_port() {
  local port=$1
  while port_taken "$port"; do port=$((port + 1)); done
  printf '%s' "$port"
}

# changed_since STAMP PATH...: whether anything below the paths is newer than the stamp.
changed_since() {
  local stamp=$1
  shift
  local made=(-name node_modules -o -name bin -o -name obj -o -name dist -o -name schema.d.ts -o -name components.d.ts)
  [ ! -f "$stamp" ] || [ -n "$(find "$@" \( "${made[@]}" \) -prune -o -newer "$stamp" -type f -print -quit)" ]
}

# step NAME COMMAND...: runs quietly; on failure shows the end of what it printed and stops.
step() {
  local name=$1 log
  shift
  log=$(mktemp)
  if ! "$@" >"$log" 2>&1; then
    tail -n 40 "$log" >&2
    rm -f "$log"
    fail "$name failed; the lines above say why."
  fi
  rm -f "$log"
}

install_web_packages() {
  local dir=$1
  if [ ! -f "$dir/node_modules/.installed" ] || [ "$dir/package-lock.json" -nt "$dir/node_modules/.installed" ]; then
    say "Installing packages of $(basename "$dir") ..."
    (cd "$dir" && PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD=1 step "npm ci" npm ci --no-audit --no-fund)
    touch "$dir/node_modules/.installed"
  fi
}

# The core for the browser: trimmed WebAssembly, laid where the pages' build takes it along.
build_browser_core() {
  mkdir -p .run
  local from=(src/Umbracell.Core src/Umbracell.Documents src/Umbracell.Questions src/Umbracell.Core.Browser Directory.Build.props)
  if [ ! -f web/public/core/dotnet.js ] || changed_since .run/core.stamp "${from[@]}"; then
    say 'Building the core for the browser ...'
    touch .run/core.stamp.new
    rm -rf .run/core web/public/core
    step 'The build of the core for the browser' dotnet publish src/Umbracell.Core.Browser -c Release -o .run/core -v quiet --nologo
    mkdir -p web/public
    cp -r .run/core/wwwroot/_framework web/public/core
    mv .run/core.stamp.new .run/core.stamp
  fi
}

# One compiler serves all projects: started anew for each, it spends more time on becoming quick than on compiling.
share_compiler() { export UseSharedCompilation=true; }
end_compiler() { timeout 20 dotnet build-server shutdown --vbcscompiler >/dev/null 2>&1; }

build_product() {
  share_compiler
  mkdir -p .run
  # The catalogue of words is built into the server too.
  if changed_since .run/server.stamp src web/src/i18n Directory.Build.props Directory.Packages.props global.json; then
    say 'Building the server ...'
    touch .run/server.stamp.new
    step 'The build of the server' dotnet build src/Umbracell.Server -c Release -v quiet --nologo
    step 'The build of the stand-ins' dotnet build src/Umbracell.StandIns -c Release -v quiet --nologo
    mv .run/server.stamp.new .run/server.stamp
  fi
  build_browser_core
  install_web_packages web
  if [ ! -f web/dist/index.html ] || changed_since .run/web.stamp web src/Umbracell.Server/obj/openapi; then
    say 'Building the pages ...'
    touch .run/web.stamp.new
    (cd web && step 'The client from the API description' npm run --silent generate && step 'The build of the pages' npm run --silent build)
    mv .run/web.stamp.new .run/web.stamp
  fi
}
