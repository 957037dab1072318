# The account that the servers run as. Started by root, they drop to one of their own, which owns var/ and nothing else.

ACCOUNT=fleet-sparrow
SERVICE=$(id -un)
# Put before a command that is to run as the servers do.
AS=()

choose_service() {
  [ "$(id -u)" = 0 ] || return 0
  if ! id "$ACCOUNT" >/dev/null 2>&1; then
    useradd --system --user-group --no-create-home --home-dir /nonexistent --shell /usr/sbin/nologin "$ACCOUNT" \
      || die "the account $ACCOUNT, as which the servers run, could not be added."
  fi
  if [ "$(setpriv --reuid="$ACCOUNT" --regid="$ACCOUNT" --init-groups -- cat composer.json app/Models/User.php 2>/dev/null | wc -c)" = 0 ]; then
    say "Only root can read $ROOT, so the servers run as root too. To have them run as $ACCOUNT, move the folder, or: chmod -R a+rX $ROOT"
    return 0
  fi
  SERVICE="$ACCOUNT"
  AS=(setpriv --reuid="$ACCOUNT" --regid="$ACCOUNT" --init-groups --inh-caps=-all --no-new-privs --)
}

# Gives the servers' account what root has written for it, and takes everybody else's right to read.
hand_over() {
  if [ "$(id -u)" = 0 ]; then
    find "$@" -xdev \( ! -user "$SERVICE" -o ! -group "$SERVICE" \) -exec chown -h "$SERVICE:$SERVICE" {} +
  fi
  find "$@" -xdev ! -type l -perm /077 -exec chmod go-rwx {} +
}

# The right to install packages, or the reason why not, before anything is begun.
need_root() {
  [ "$(id -u)" = 0 ] || command -v sudo >/dev/null || die "$1 must be installed, which needs root: run this as root, or install sudo."
}

as_root() {
  if [ "$(id -u)" = 0 ]; then "$@"; else sudo "$@"; fi
}
