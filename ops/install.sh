# What the machine and the project need before anything runs.

DEBIAN_PACKAGES=(mariadb-server nginx-light php8.2-fpm php8.2-cli php8.2-mysql php8.2-mbstring php8.2-xml php8.2-curl php8.2-zip php8.2-intl composer unzip curl)

missing_packages() {
  local package
  for package in "$@"; do
    dpkg-query -W -f='${Status}' "$package" 2>/dev/null | grep -q 'install ok installed' || printf '%s\n' "$package"
  done
}

install_packages() {
  local missing
  command -v apt-get >/dev/null || die "this is not a Debian machine: install MariaDB, nginx, PHP 8.2 with fpm and Composer, and start again."
  # A tool that is there by another way (a hand-installed Composer, say) is as good as the package.
  mapfile -t missing < <(missing_packages "$@")
  local needed=() package
  for package in "${missing[@]}"; do
    case "$package" in
      composer) command -v composer >/dev/null || needed+=("$package") ;;
      *) needed+=("$package") ;;
    esac
  done
  ((${#needed[@]} == 0)) && return 0
  need_root "${needed[*]}"
  # Debian refuses everything while an earlier installation was cut off.
  [ -z "$(dpkg --audit 2>/dev/null)" ] || step "finishing an installation that was cut off" "Try by hand: dpkg --configure -a" dpkg as_root dpkg --configure -a
  say "Installing ${needed[*]} …"
  step "apt-get update" "Is there a network? Debian's packages must be reachable." apt-update as_root apt-get update -q
  step "apt-get install" "Try the command by hand: apt-get install ${needed[*]}" apt-install \
    as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -q --no-install-recommends "${needed[@]}"
}

check_node() {
  command -v node >/dev/null || die "Node is missing. Install Node 20.19 or newer, then start again."
  node -e 'const [a, b] = process.versions.node.split(".").map(Number); process.exit(a > 20 || (a === 20 && b >= 19) ? 0 : 1)' \
    || die "Node $(node -v) is too old: 20.19 or newer is needed."
}

install_php_libraries() {
  local wanted
  wanted=$(hash_of composer.json)
  fresh composer "$wanted" && [ -f vendor/autoload.php ] && return 0
  say "Fetching the PHP libraries …"
  rm -f bootstrap/cache/*.php
  step "composer install" "Is there a network? Run it again when there is; nothing is lost." composer \
    env COMPOSER_ALLOW_SUPERUSER=1 composer install --no-interaction --no-progress --prefer-dist
  # Some archives unpack unreadable to the web server's user.
  chmod -R a+rX vendor
  stamp composer "$wanted"
}

install_node_libraries() {
  local wanted
  wanted=$(hash_of package-lock.json)
  fresh npm "$wanted" && [ -d node_modules/vite ] && return 0
  say "Fetching the front-end libraries …"
  rm -f "$VAR/stamps/npm"
  step "npm ci" "Is there a network? Run it again when there is; nothing is lost." npm \
    env PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD=1 npm ci --no-audit --no-fund
  stamp npm "$wanted"
}

build_front_end() {
  local wanted
  wanted=$(find resources -type f -print0 | sort -z | xargs -0 cat vite.*.ts docs/openapi.json tsconfig.json package.json package-lock.json | sha256sum | cut -d' ' -f1)
  if ! { fresh build "$wanted" && [ -f public/build/manifest.json ] && [ -f public/sw.js ] \
    && [ -f public/build-run/manifest.json ] && [ -f public/build-early/manifest.json ] && [ -f public/build-home/manifest.json ] && [ -f public/at-home-sw.js ]; }; then
    say "Building the front end …"
    step "the front-end build" "Mend what it names, then start again." build npm run --silent build
    stamp build "$wanted"
  fi
  # The servers' account reads all of it; under this script's umask it could not.
  chmod -R a+rX public
}

install_all() {
  install_packages "${DEBIAN_PACKAGES[@]}"
  check_node
  install_php_libraries
  install_node_libraries
  build_front_end
}
