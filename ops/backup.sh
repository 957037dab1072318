# Copies of every record, and the way back. A copy is good only when its last line says that it is whole.

KEEP_DAYS="${SPARROW_KEEP_DAYS:-30}"

# $1: a compressed dump
dump_is_whole() { gzip -t "$1" 2>/dev/null && [[ "$(gzip -dc "$1" | tail -n 1)" == "-- Dump completed"* ]]; }

# $1: the database, $2: the file
make_dump() {
  rm -f "$2.part"
  as_admin mariadb-dump --single-transaction --quick --hex-blob "$1" | gzip >"$2.part" \
    || die "the records could not be copied: mariadb-dump says why above. The copies made before are untouched."
  dump_is_whole "$2.part" || die "the copy of the records is cut short; it was not kept. The copies made before are untouched."
  sync "$2.part"
  mv -f "$2.part" "$2"
  hand_over "$2"
}

# Puts a database back as it was. $1: the dump, $2: the database
load_dump() {
  dump_is_whole "$1" || die "${1#"$ROOT"/} is not a whole copy; nothing was changed."
  {
    printf 'DROP DATABASE IF EXISTS `%s`;\nCREATE DATABASE `%s` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_520_ci;\nUSE `%s`;\n' "$2" "$2" "$2"
    gzip -dc "$1"
  } | as_admin mariadb || die "the copy could not be read back: the lines above say why."
}

run_backup() {
  local file
  prepare_var
  take_lock
  database_answers || die "the database is stopped, so nothing was copied. Run ./sparrow start first."
  file="$VAR/backups/$(date +%F-%H%M%S).sql.gz"
  make_dump sparrow "$file"
  # Only after a good one: however old, the last good copy stays.
  find "$VAR/backups" -name '20*.sql.gz' -mtime "+$KEEP_DAYS" ! -path "$file" -delete
  say "Every record is in ${file#"$ROOT"/}. Copy it to another place; it holds children's records, so an encrypted one."
}

# $1: the copy, $2: --yes, or nothing
run_restore() {
  [ -f "$1" ] || die "name a copy: ./sparrow restore var/backups/….sql.gz"
  prepare_var
  take_lock
  database_answers || die "the database is stopped. Run ./sparrow start first."
  dump_is_whole "$1" || die "$1 is not a whole copy; nothing was changed."
  if [ "$2" != "--yes" ]; then
    local answer=""
    read -r -p "This puts every record back as it was in $1; what came later is kept in another copy. Type yes to go on: " answer || true
    [ "$answer" = "yes" ] || die "nothing was changed."
  fi
  stop_web main
  make_dump sparrow "$VAR/backups/$(date +%F-%H%M%S)-before-restore.sql.gz"
  load_dump "$1" sparrow
  # An older copy may lack tables that the code of today needs.
  migrate_database sparrow
  step "working out bests" "See the lines above." rebuild "${AS[@]}" php artisan sparrow:rebuild
  say "The records are as they were. ./sparrow start opens them again."
}
